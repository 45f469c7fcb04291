<?php

namespace App\Shows\Edits;

use App\Models\DeskRow;
use App\Models\PictureRow;
use App\Models\Show;
use App\Shows\When;
use Illuminate\Support\Str;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\Milliseconds;

/**
 * picture.change {picture, name?, group?, layout, fills, when?: "at-once", "glide" or "next-take", expect}
 *
 * A picture that is on program and shall not change there at once stays there
 * as it was, under an id of its own; the changed one is next.
 */
final class ChangePicture implements Edit
{
    use Finds;

    private const GLIDE_MS = 1000;

    public function __construct(private readonly PictureForm $form)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $row = $this->picture($show, $fields);
        $picture = $this->form->read($show, $fields, $row->id);
        $when = $fields->has('when') ? $fields->oneOf('when', When::class) : When::AtOnce;
        $asItWas = $when !== When::AtOnce && DeskRow::query()->findOrFail($show->id)->toDesk()->isOnProgram($row->id) ? $this->asItWas($row) : null;
        $this->change($row, $picture, $fields, $revision);

        return new EditResult(
            'changed',
            $row->id,
            $row->name,
            replaces: $asItWas === null ? [] : [$row->id => $asItWas->id],
            arms: $asItWas === null ? null : $row->id,
            takes: $asItWas !== null && $when === When::Glide ? new Transition(TransitionKind::Glide, Milliseconds::of(self::GLIDE_MS)) : null,
        );
    }

    private function change(PictureRow $row, Picture $picture, Fields $fields, int $revision): void
    {
        $row->update([
            'name' => $fields->has('name') ? $picture->name : $row->name,
            'picture_group' => $fields->has('group') ? $picture->group : $row->picture_group,
            'layout' => $picture->layout->toArray(),
            'changed_revision' => $revision,
        ]);
        $row->fillPlaces($picture->fills);
    }

    private function asItWas(PictureRow $row): PictureRow
    {
        $copy = $row->replicate(['key', 'own_source_id'])->fill(['id' => (string) Str::uuid7(), 'name' => mb_substr($row->name, 0, 68).' (as it was)', 'retired' => true]);
        $copy->save();
        $copy->fillPlaces($row->toPicture()->fills);

        return $copy;
    }
}
