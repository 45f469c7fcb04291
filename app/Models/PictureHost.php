<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The browser tab that holds the devices of a show, as long as it is heard of.
 *
 * @property string $show_id
 * @property string $tab
 * @property int $user_id
 * @property Carbon $seen_at
 * @property ?Carbon $stills_wanted_at
 * @property User $user
 */
class PictureHost extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'show_id';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['seen_at' => 'datetime', 'stills_wanted_at' => 'datetime'];

    public function isAlive(): bool
    {
        return $this->seen_at->isAfter(now()->subSeconds(config()->integer('rhetorix.host_lease_seconds')));
    }

    public function stillsAreWanted(): bool
    {
        return $this->stills_wanted_at?->isAfter(now()->subSeconds(config()->integer('rhetorix.stills_wanted_seconds'))) ?? false;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
