<?php

namespace App\Shows\Edits;

use App\Models\PictureRow;
use App\Models\Show;
use App\Models\SourceRow;
use App\Shows\Outdated;
use Illuminate\Support\Str;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** What several edits need: to find a thing of this show as the editor last saw it. */
trait Finds
{
    private function source(Show $show, Fields $fields): SourceRow
    {
        $id = $fields->string('source', 64);
        $row = Str::isUuid($id) ? $show->sources()->find($id) : null;
        if (! $row instanceof SourceRow) {
            throw new Refusal('This source is not in the show any more.');
        }
        $this->mustBeCurrent($fields, $row);

        return $row;
    }

    private function picture(Show $show, Fields $fields): PictureRow
    {
        $id = $fields->string('picture', 64);
        $row = Str::isUuid($id) ? $show->pictures()->find($id) : null;
        if (! $row instanceof PictureRow) {
            throw new Refusal('This picture is not in the show any more.');
        }
        $this->mustBeCurrent($fields, $row);

        return $row;
    }

    /** "expect" is the revision that the editor saw; it protects edits, never live commands. */
    private function mustBeCurrent(Fields $fields, SourceRow|PictureRow $row): void
    {
        if ($fields->has('expect') && $row->changed_revision > $fields->integer('expect', 0, PHP_INT_MAX)) {
            throw Outdated::since($row->name, $row->only(['id', 'name', 'changed_revision']));
        }
    }

    private function freeKey(Show $show, Group $group): ?string
    {
        /** @var list<string> $taken */
        $taken = $show->pictures()->whereNotNull('key')->pluck('key')->all();

        return KeyPlaces::free($group, $taken);
    }

    /** @param \Illuminate\Database\Eloquent\Relations\HasMany<covariant \Illuminate\Database\Eloquent\Model, Show> $rows */
    private function nextPosition($rows): int
    {
        $last = $rows->max('position');

        return is_numeric($last) ? (int) $last + 1 : 1;
    }
}
