<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** picture.fill {picture, slot, source?, expect?}: another source in one place; without one the place is empty. */
final class FillPlace implements Edit
{
    use Finds;

    public function __construct(private readonly PictureForm $form)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $row = $this->picture($show, $fields);
        $picture = $row->toPicture();
        $slot = $fields->string('slot', 40);
        if (! in_array($slot, $picture->layout->slots(), true)) {
            throw BadInput::notOneOf('slot', $picture->layout->slots());
        }
        $source = $fields->has('source') ? $this->form->sourceFor($show, $fields, 'source') : null;
        $fills = [...array_diff_key($picture->fills, [$slot => 1]), ...($source === null ? [] : [$slot => $source->id])];
        // A name that only says what is in the picture goes with it.
        $isUsual = $row->name === $this->form->usualName($show, $picture->fills);
        $inOrder = array_filter(array_map(fn (string $slot): ?string => $fills[$slot] ?? null, array_combine($picture->layout->slots(), $picture->layout->slots())));
        $row->update(['name' => $isUsual && $row->own_source_id === null ? $this->form->usualName($show, $inOrder) : $row->name, 'changed_revision' => $revision]);
        $row->fillPlaces($inOrder);

        return new EditResult('filled', $row->id, $source === null ? "{$row->name}: nothing in “{$slot}”" : "{$row->name}: {$source->name} in “{$slot}”");
    }
}
