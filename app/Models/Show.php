<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Time\FrameRate;

/**
 * @property string $id
 * @property string $name
 * @property int $canvas_width
 * @property int $canvas_height
 * @property int $frame_rate
 * @property ?array<string, mixed> $computer what was measured on the one that holds the devices
 * @property ?int $alone_user_id who has the desk alone
 * @property ?Carbon $alone_until
 * @property DeskRow $desk
 * @property ?SignalWatch $signalWatch
 */
class Show extends Model
{
    use HasUuids;

    protected $fillable = ['name', 'canvas_width', 'canvas_height'];

    protected $attributes = ['canvas_width' => 1280, 'canvas_height' => 720, 'frame_rate' => 30, 'alone_user_id' => null, 'alone_until' => null];

    protected $casts = ['computer' => 'array', 'alone_until' => 'datetime'];

    public function canvas(): Canvas
    {
        return new Canvas(new Size($this->canvas_width, $this->canvas_height), new FrameRate($this->frame_rate));
    }

    /** Who has the desk alone at the moment; null: everybody who may operate it. */
    public function aloneBy(): ?User
    {
        return $this->alone_user_id !== null && $this->alone_until?->isFuture() === true ? User::query()->find($this->alone_user_id) : null;
    }

    /** @return BelongsToMany<User, $this> */
    public function people(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'memberships')->withPivot('role');
    }

    /** @return HasMany<SourceRow, $this> */
    public function sources(): HasMany
    {
        return $this->hasMany(SourceRow::class)->orderBy('position');
    }

    /** @return HasMany<PictureRow, $this> */
    public function pictures(): HasMany
    {
        $pictures = $this->allPictures();
        $pictures->where('retired', false);

        return $pictures;
    }

    /** @return HasMany<PictureRow, $this> also those that are only on program still, as they were before they were changed */
    public function allPictures(): HasMany
    {
        return $this->hasMany(PictureRow::class)->orderBy('position');
    }

    /** @return HasOne<DeskRow, $this> */
    public function desk(): HasOne
    {
        return $this->hasOne(DeskRow::class);
    }

    /** @return HasMany<AsRunEntry, $this> */
    public function asRun(): HasMany
    {
        return $this->hasMany(AsRunEntry::class)->orderBy('revision');
    }

    /** @return HasOne<SignalWatch, $this> */
    public function signalWatch(): HasOne
    {
        return $this->hasOne(SignalWatch::class);
    }

    /** @return HasMany<Upload, $this> */
    public function uploads(): HasMany
    {
        return $this->hasMany(Upload::class);
    }

    /** @return HasMany<NetworkCamera, $this> */
    public function networkCameras(): HasMany
    {
        return $this->hasMany(NetworkCamera::class);
    }

    /** @return HasMany<Medium, $this> */
    public function media(): HasMany
    {
        return $this->hasMany(Medium::class);
    }
}
