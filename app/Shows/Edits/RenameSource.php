<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;

/** source.rename {source, name, expect}: its own picture is renamed with it. */
final class RenameSource implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $name = trim($fields->string('name', 80));
        $own = $source->ownPicture;
        if ($own !== null && $own->name === $source->name) {
            $own->update(['name' => $name, 'changed_revision' => $revision]);
        }
        $source->update(['name' => $name, 'changed_revision' => $revision]);

        return new EditResult('renamed', $source->id, $name);
    }
}
