<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;

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
        );
    }

    /** @return HasOne<PictureRow, $this> */
    public function ownPicture(): HasOne
    {
        return $this->hasOne(PictureRow::class, 'own_source_id');
    }
}
