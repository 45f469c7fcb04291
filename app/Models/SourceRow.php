<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Rig\Clip;
use Rhetorix\Core\Rig\Deck;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Live\ClipEnd;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Time\Milliseconds;

/**
 * @property string $id
 * @property string $show_id
 * @property string $name
 * @property SourceKind $kind
 * @property Group $picture_group
 * @property Hearing $hearing
 * @property array<string, mixed> $settings
 * @property ?int $width
 * @property ?int $height
 * @property int $position
 * @property int $changed_revision
 * @property ?PictureRow $ownPicture
 * @property ?JoinLink $joinLink
 */
class SourceRow extends Model
{
    use HasUuids;

    protected $table = 'sources';

    protected $guarded = [];

    protected $casts = [
        'kind' => SourceKind::class,
        'picture_group' => Group::class,
        'hearing' => Hearing::class,
        'settings' => 'array',
    ];

    public function toSource(): Source
    {
        return new Source(
            $this->id,
            $this->name,
            $this->kind,
            $this->picture_group,
            $this->hearing,
            $this->width !== null && $this->height !== null ? new Size($this->width, $this->height) : null,
            $this->deck(),
            $this->clip(),
            $this->setting('colour') ?? $this->setting('pattern'),
        );
    }

    /** A text among the settings, or null. */
    public function setting(string $name): ?string
    {
        $value = $this->settings[$name] ?? null;

        return is_string($value) ? $value : null;
    }

    private function deck(): ?Deck
    {
        return $this->kind === SourceKind::Deck ? new Deck($this->setting('group') ?? $this->id, $this->whole('pages', 1)) : null;
    }

    private function clip(): ?Clip
    {
        return $this->kind !== SourceKind::Clip ? null : new Clip(
            Milliseconds::of($this->whole('length_ms')),
            Milliseconds::of($this->whole('cue_ms')),
            ClipEnd::tryFrom($this->setting('end') ?? '') ?? ClipEnd::Hold,
            $this->width === null,
        );
    }

    private function whole(string $name, int $otherwise = 0): int
    {
        $value = $this->settings[$name] ?? null;

        return is_int($value) && $value >= 0 ? $value : $otherwise;
    }

    /** @return HasOne<JoinLink, $this> */
    public function joinLink(): HasOne
    {
        return $this->hasOne(JoinLink::class, 'source_id');
    }

    /** @return HasOne<PictureRow, $this> */
    public function ownPicture(): HasOne
    {
        return $this->hasOne(PictureRow::class, 'own_source_id');
    }
}
