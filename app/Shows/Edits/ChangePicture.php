<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;

/** picture.change {picture, name?, layout, fills, expect} */
final class ChangePicture implements Edit
{
    use Finds;

    public function __construct(private readonly PictureForm $form)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $row = $this->picture($show, $fields);
        $picture = $this->form->read($show, $fields, $row->id);
        $row->update([
            'name' => $fields->has('name') ? $picture->name : $row->name,
            'layout' => $picture->layout->toArray(),
            'changed_revision' => $revision,
        ]);
        $row->fills()->delete();
        foreach ($picture->fills as $slot => $source) {
            $row->fills()->create(['slot' => $slot, 'source_id' => $source]);
        }

        return new EditResult('changed', $row->id, $row->name);
    }
}
