<?php

namespace App\Shows\Edits;

use App\Models\PictureRow;
use App\Models\Show;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\Transition;

/**
 * picture.place {picture, name?, group?, key?, before?, comes?, expect?}: its name, its group, its key on the desk
 * (whoever had the key gets the old one), before which other picture it comes
 * in its group, and with which transition a take brings it (null: the one that is chosen on the desk).
 */
final class PlacePicture implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $row = $this->picture($show, $fields);
        $name = $fields->has('name') ? trim($fields->string('name', 80)) : $row->name;
        $row->update(['name' => $name, 'picture_group' => $fields->has('group') ? $fields->oneOf('group', Group::class) : $row->picture_group, 'changed_revision' => $revision]);
        if (array_key_exists('key', $fields->all())) {
            $this->giveKey($show, $row, $fields->has('key') ? strtoupper($fields->string('key', 1)) : null);
        }
        if (array_key_exists('before', $fields->all())) {
            $this->putBefore($show, $row, $fields->has('before') ? $fields->string('before', 64) : null);
        }

        if (array_key_exists('comes', $fields->all())) {
            $comes = $fields->has('comes') ? Transition::fromFields($fields->object('comes'), $show->canvas()->rate) : null;
            $row->update(['comes' => $comes === null ? null : ['kind' => $comes->key(), 'duration_ms' => $comes->duration->count]]);
        }

        return new EditResult('placed', $row->id, "{$row->name} is in {$row->picture_group->label()}".($row->key === null ? ', without a key' : ", on key {$row->key}"));
    }

    private function giveKey(Show $show, PictureRow $row, ?string $key): void
    {
        if ($key === null) {
            $row->update(['key' => null]);

            return;
        }
        if (! in_array($key, KeyPlaces::all(), true)) {
            throw BadInput::notOneOf('key', KeyPlaces::all());
        }
        $holder = $show->pictures()->where('key', $key)->first();
        $old = $row->key;
        if ($holder !== null && $holder->id !== $row->id) {
            $row->update(['key' => null]);
            $holder->update(['key' => $old]);
        }
        $row->update(['key' => $key]);
    }

    /** @param  ?string  $before  id of a picture; null: after all others */
    private function putBefore(Show $show, PictureRow $row, ?string $before): void
    {
        $ids = $show->pictures()->whereNot('id', $row->id)->pluck('id')->all();
        $at = $before === null ? false : array_search($before, $ids, true);
        array_splice($ids, $at === false ? count($ids) : $at, 0, [$row->id]);
        foreach ($ids as $position => $id) {
            $show->pictures()->whereKey($id)->whereNot('position', $position + 1)->update(['position' => $position + 1]);
        }
    }
}
