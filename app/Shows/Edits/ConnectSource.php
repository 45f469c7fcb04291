<?php

namespace App\Shows\Edits;

use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Support\Str;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/**
 * source.connect {name, kind, settings, group?, hearing?}: a source joins the
 * rig. Its own full-screen picture is there at once.
 */
final class ConnectSource implements Edit
{
    use Finds;

    private const MOST_SOURCES = 60;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        if ($show->sources()->count() >= self::MOST_SOURCES) {
            throw new Refusal('A rig holds at most '.self::MOST_SOURCES.' sources. Remove one that is not needed.');
        }
        $kind = $fields->oneOf('kind', SourceKind::class);
        $group = $fields->has('group') ? $fields->oneOf('group', Group::class) : $kind->usualGroup();

        $source = SourceRow::query()->create([
            'show_id' => $show->id,
            'name' => trim($fields->string('name', 80)),
            'kind' => $kind,
            'picture_group' => $group,
            'hearing' => $fields->has('hearing') ? $fields->oneOf('hearing', Hearing::class) : self::usualHearing($kind),
            'settings' => $this->settings($show, $kind, $fields),
            ...$this->knownSize($show, $kind, $fields),
            'position' => $this->nextPosition($show->sources()),
            'changed_revision' => $revision,
        ]);
        if ($kind->hasPicture()) {
            $this->makeOwnPicture($show, $source, $revision);
        }

        return new EditResult('connected', $source->id, $source->name);
    }

    private function makeOwnPicture(Show $show, SourceRow $source, int $revision): void
    {
        $picture = $show->pictures()->create([
            'name' => $source->name,
            'picture_group' => $source->picture_group,
            'key' => $this->freeKey($show, $source->picture_group),
            'layout' => (new FullLayout)->toArray(),
            'own_source_id' => $source->id,
            'position' => $this->nextPosition($show->pictures()),
            'changed_revision' => $revision,
        ]);
        $picture->fills()->create(['slot' => 'large', 'source_id' => $source->id]);
    }

    /** @return array<string, string> only what this kind of source needs */
    private function settings(Show $show, SourceKind $kind, Fields $fields): array
    {
        $given = $fields->has('settings') ? $fields->object('settings') : Fields::of([]);

        return match ($kind) {
            SourceKind::Camera, SourceKind::Microphone => [
                'device' => $given->string('device', 200),
                'label' => $given->optionalString('label') ?? $fields->string('name', 80),
            ],
            SourceKind::Screen => [],
            SourceKind::StandIn => ['stand_in' => $given->string('stand_in', 40)],
            SourceKind::Still => ['medium' => $this->medium($show, $given)],
        };
    }

    private function medium(Show $show, Fields $given): string
    {
        $id = $given->string('medium', 64);
        if (! Str::isUuid($id) || $show->media()->whereKey($id)->doesntExist()) {
            throw new Refusal('This file was not brought to the show. Choose the file again.');
        }

        return $id;
    }

    /** @return array{width?: int, height?: int} a still tells its size before anybody has seen it */
    private function knownSize(Show $show, SourceKind $kind, Fields $fields): array
    {
        if ($kind !== SourceKind::Still) {
            return [];
        }
        $medium = $show->media()->findOrFail($this->medium($show, $fields->object('settings')));

        return ['width' => $medium->width, 'height' => $medium->height];
    }

    private static function usualHearing(SourceKind $kind): Hearing
    {
        return match ($kind) {
            SourceKind::Microphone => Hearing::Always,
            SourceKind::Still => Hearing::Never,
            default => Hearing::WithPicture,
        };
    }
}
