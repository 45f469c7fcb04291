<?php

namespace App\Shows\Edits;

use App\Models\DeskRow;
use App\Models\PictureRow;
use App\Models\Show;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** source.remove {source, expect}: its places in pictures are empty from then on; refused while one of these is on program. */
final class RemoveSource implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $own = $source->ownPicture;
        $desk = DeskRow::query()->findOrFail($show->id)->toDesk();
        $used = $show->allPictures()->whereNot('id', $own?->id)->whereHas('fills', fn ($fills) => $fills->where('source_id', $source->id))->get();
        $onProgram = $used->first(fn (PictureRow $picture): bool => $desk->isOnProgram($picture->id));
        if ($onProgram !== null) {
            throw new Refusal("“{$source->name}” is in “{$onProgram->name}”, which is on program. Take another picture first; then it can be removed.");
        }
        foreach ($used as $picture) {
            $picture->update(['changed_revision' => $revision]);
            $picture->fills()->where('source_id', $source->id)->delete();
        }
        $own?->fills()->delete();
        $own?->delete();
        $source->delete();
        $places = $used->map(fn (PictureRow $picture): string => $picture->name)->implode(', ');

        return new EditResult('removed', $source->id, $places === '' ? $source->name : "{$source->name}; its place is empty in: {$places}", $own === null ? [] : [$own->id]);
    }
}
