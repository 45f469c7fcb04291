<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Illuminate\Support\Str;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** picture.make {name?, layout, fills, group?} */
final class MakePicture implements Edit
{
    use Finds;

    private const MOST_PICTURES = 120;

    public function __construct(private readonly PictureForm $form)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $picture = $this->form->read($show, $fields, (string) Str::uuid7());

        return $this->keep($show, $picture, $revision);
    }

    public function keep(Show $show, Picture $picture, int $revision): EditResult
    {
        if ($show->pictures()->count() >= self::MOST_PICTURES) {
            throw new Refusal('A show holds at most '.self::MOST_PICTURES.' pictures. Delete one that is not needed.');
        }
        $row = $show->pictures()->create([
            'id' => $picture->id,
            'name' => $picture->name,
            'picture_group' => $picture->group,
            'key' => $this->keyFor($show, $picture),
            'layout' => $picture->layout->toArray(),
            'position' => $this->nextPosition($show->pictures()),
            'changed_revision' => $revision,
        ]);
        $row->fillPlaces($picture->fills);

        return new EditResult('made', $row->id, $row->name);
    }

    /** The key that it had, if it is free here. */
    private function keyFor(Show $show, Picture $picture): ?string
    {
        $wish = $picture->key ?? '';

        return in_array($wish, KeyPlaces::all(), true) && ! $show->pictures()->where('key', $wish)->exists() ? $wish : $this->freeKey($show, $picture->group);
    }
}
