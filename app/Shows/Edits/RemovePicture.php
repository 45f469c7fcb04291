<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** picture.remove {picture, expect} */
final class RemovePicture implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $picture = $this->picture($show, $fields);
        if ($picture->own_source_id !== null) {
            throw new Refusal("“{$picture->name}” is the full-screen picture of its source and stays as long as the source does.");
        }
        $picture->delete();

        return new EditResult('deleted', $picture->id, $picture->name, [$picture->id]);
    }
}
