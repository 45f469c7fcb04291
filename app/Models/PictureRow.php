<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\FrameRate;

/**
 * @property string $id
 * @property string $show_id
 * @property string $name
 * @property Group $picture_group
 * @property ?string $key
 * @property array<string, mixed> $layout
 * @property ?string $own_source_id the source whose own full-screen picture this is
 * @property int $position
 * @property int $changed_revision
 * @property ?array<string, mixed> $comes how a take brings it: {kind, duration_ms}
 * @property bool $retired as it was before it was changed, until it leaves the desk
 * @property Collection<int, PictureFill> $fills
 */
class PictureRow extends Model
{
    use HasUuids;

    protected $table = 'pictures';

    protected $guarded = [];

    protected $attributes = ['comes' => null];

    protected $casts = [
        'picture_group' => Group::class,
        'layout' => 'array',
        'comes' => 'array',
    ];

    public function toPicture(): Picture
    {
        return new Picture(
            $this->id,
            $this->name,
            $this->picture_group,
            Layouts::fromData($this->layout),
            $this->fills->mapWithKeys(fn (PictureFill $fill): array => [$fill->slot => $fill->source_id])->all(),
            $this->key,
            $this->comes === null ? null : Transition::fromFields(Fields::of($this->comes), new FrameRate(30)),
        );
    }

    /** @param  array<string, string>  $fills  slot => source id */
    public function fillPlaces(array $fills): void
    {
        $this->fills()->delete();
        foreach ($fills as $slot => $source) {
            $this->fills()->create(['slot' => $slot, 'source_id' => $source]);
        }
    }

    /** @return HasMany<PictureFill, $this> */
    public function fills(): HasMany
    {
        return $this->hasMany(PictureFill::class, 'picture_id');
    }
}
