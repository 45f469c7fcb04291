<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Rhetorix\Core\Layout\ReadyLayouts;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\Picture;

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
 * @property Collection<int, PictureFill> $fills
 */
class PictureRow extends Model
{
    use HasUuids;

    protected $table = 'pictures';

    protected $guarded = [];

    protected $casts = [
        'picture_group' => Group::class,
        'layout' => 'array',
    ];

    public function toPicture(): Picture
    {
        return new Picture(
            $this->id,
            $this->name,
            $this->picture_group,
            ReadyLayouts::fromData($this->layout),
            $this->fills->mapWithKeys(fn (PictureFill $fill): array => [$fill->slot => $fill->source_id])->all(),
            $this->key,
        );
    }

    /** @return HasMany<PictureFill, $this> */
    public function fills(): HasMany
    {
        return $this->hasMany(PictureFill::class, 'picture_id');
    }
}
