<?php

namespace App\Shows\Edits;

use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Support\Str;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Layouts;
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
        $layout = Layouts::fromFields($fields->object('layout'));
        $fills = $this->fills($show, $layout, $fields->object('fills'));

        return new Picture(
            $id,
            trim($fields->optionalString('name', 80) ?? $this->usualName($show, $fills)),
            $fields->has('group') ? $fields->oneOf('group', Group::class) : Group::Together,
            $layout,
            $fills,
        );
    }

    /**
     * What a picture is called that nobody gave a name.
     *
     * @param  array<string, string>  $fills
     */
    public function usualName(Show $show, array $fills): string
    {
        $names = $show->sources()->whereIn('id', $fills)->pluck('name', 'id');
        $name = implode(' + ', array_unique(array_map(fn (string $source): string => (string) $names[$source], $fills)));

        return $name === '' ? 'Empty picture' : mb_substr($name, 0, 80);
    }

    /** A source with a picture, to stand in a place. */
    public function sourceFor(Show $show, Fields $given, string $field): SourceRow
    {
        $id = $given->string($field, 64);
        $source = Str::isUuid($id) ? $show->sources()->find($id) : null;
        if (! $source instanceof SourceRow) {
            throw new Refusal('One of the chosen sources is not in the show any more. Choose again.');
        }
        if (! $source->toSource()->hasPicture()) {
            throw BadInput::wrongKind("{$given->path()}.{$field}", 'a source with a picture');
        }

        return $source;
    }

    /** @return array<string, string> a place that is not named stays empty */
    private function fills(Show $show, Layout $layout, Fields $given): array
    {
        $fills = [];
        foreach ($layout->slots() as $slot) {
            if ($given->has($slot)) {
                $fills[$slot] = $this->sourceFor($show, $given, $slot)->id;
            }
        }

        return $fills;
    }
}
