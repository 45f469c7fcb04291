<?php

namespace App\Shows\Edits;

use App\Models\JoinLink;
use App\Models\Show;
use App\Models\SourceRow;
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

    public function __construct(private readonly SourceSettings $settings)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        if ($show->sources()->count() >= self::MOST_SOURCES) {
            throw new Refusal('A rig holds at most '.self::MOST_SOURCES.' sources. Remove one that is not needed.');
        }
        $kind = $fields->oneOf('kind', SourceKind::class);
        $name = trim($fields->string('name', 80));
        $given = $fields->has('settings') ? $fields->object('settings') : Fields::of([]);
        $group = $fields->has('group') ? $fields->oneOf('group', Group::class) : $kind->usualGroup();

        $size = $this->settings->size($show, $kind, $given);
        $source = SourceRow::query()->create([
            'show_id' => $show->id,
            'name' => $name,
            'kind' => $kind,
            'picture_group' => $group,
            'hearing' => $fields->has('hearing') ? $fields->oneOf('hearing', Hearing::class) : ($this->isMusic($kind, $size) ? Hearing::Always : $kind->usualHearing()),
            'settings' => $this->settings->first($show, $kind, $given, $name),
            ...$size,
            'position' => $this->nextPosition($show->sources()),
            'changed_revision' => $revision,
        ]);
        if ($kind === SourceKind::Phone) {
            JoinLink::issue($source);
        }
        if ($source->toSource()->hasPicture()) {
            $this->makeOwnPicture($show, $source, $revision);
        }

        return new EditResult('connected', $source->id, $source->name);
    }

    /**
     * Music is heard while it plays: there is no picture that it could follow.
     *
     * @param  array<string, int>  $size
     */
    private function isMusic(SourceKind $kind, array $size): bool
    {
        return $kind === SourceKind::Clip && $size === [];
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
}
