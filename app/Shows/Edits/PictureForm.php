<?php

namespace App\Shows\Edits;

use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Support\Str;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\ReadyLayouts;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** Reads {name?, layout, fills, group?} into a picture of this show. */
final class PictureForm
{
    public function read(Show $show, Fields $fields, string $id): Picture
    {
        $layout = ReadyLayouts::fromData($fields->object('layout')->all());
        $fills = $this->fills($show, $layout, $fields->object('fills'));
        $names = $show->sources()->whereIn('id', $fills)->pluck('name', 'id');

        return (new Picture(
            $id,
            trim($fields->optionalString('name', 80) ?? implode(' + ', array_map(fn (string $source): string => (string) $names[$source], $fills))),
            $fields->has('group') ? $fields->oneOf('group', Group::class) : Group::Together,
            $layout,
            $fills,
        ))->mustBeFilled();
    }

    /** @return array<string, string> */
    private function fills(Show $show, Layout $layout, Fields $given): array
    {
        $fills = [];
        foreach ($layout->slots() as $slot) {
            if (! $given->has($slot)) {
                continue;
            }
            $id = $given->string($slot, 64);
            $source = Str::isUuid($id) ? $show->sources()->find($id) : null;
            if (! $source instanceof SourceRow) {
                throw new Refusal('One of the chosen sources is not in the show any more. Choose again.');
            }
            if (! $source->toSource()->hasPicture()) {
                throw BadInput::wrongKind("fills.{$slot}", 'a source with a picture');
            }
            $fills[$slot] = $id;
        }

        return $fills;
    }
}
