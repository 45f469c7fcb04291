<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;

/**
 * source.measured {source, width, height}: the picture host says what the
 * source really delivers, so that the plans crop it right.
 */
final class MeasureSource implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $width = $fields->integer('width', 1, 16384);
        $height = $fields->integer('height', 1, 16384);
        $source->update(['width' => $width, 'height' => $height]);

        return new EditResult('measured', $source->id, "{$width}×{$height}");
    }
}
