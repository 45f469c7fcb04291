<?php

namespace App\Shows\Edits;

use App\Models\PictureRow;
use App\Models\Show;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** source.remove {source, expect}: refused while a picture that somebody made still shows it. */
final class RemoveSource implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $own = $source->ownPicture;
        $used = $show->pictures()->whereNot('id', $own?->id)
            ->whereHas('fills', fn ($fills) => $fills->where('source_id', $source->id))
            ->get()->map(fn (PictureRow $picture): string => "“{$picture->name}”")->implode(', ');
        if ($used !== '') {
            throw new Refusal("“{$source->name}” is used by {$used}. Delete or change these pictures first.");
        }
        $own?->fills()->delete();
        $own?->delete();
        $source->delete();

        return new EditResult('removed', $source->id, $source->name, $own === null ? [] : [$own->id]);
    }
}
