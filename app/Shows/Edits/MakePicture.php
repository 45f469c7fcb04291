<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Illuminate\Support\Str;
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
        if ($show->pictures()->count() >= self::MOST_PICTURES) {
            throw new Refusal('A show holds at most '.self::MOST_PICTURES.' pictures. Delete one that is not needed.');
        }
        $picture = $this->form->read($show, $fields, (string) Str::uuid7());
        $row = $show->pictures()->create([
            'id' => $picture->id,
            'name' => $picture->name,
            'picture_group' => $picture->group,
            'key' => $this->freeKey($show, $picture->group),
            'layout' => $picture->layout->toArray(),
            'position' => $this->nextPosition($show->pictures()),
            'changed_revision' => $revision,
        ]);
        foreach ($picture->fills as $slot => $source) {
            $row->fills()->create(['slot' => $slot, 'source_id' => $source]);
        }

        return new EditResult('made', $row->id, $row->name);
    }
}
