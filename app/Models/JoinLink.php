<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A link by which a phone or another computer takes its place in the rig of
 * one show. It ends by itself and can be made anew, which withdraws the old one.
 *
 * @property string $id
 * @property string $source_id
 * @property string $secret
 * @property string $hash
 * @property Carbon $expires_at
 * @property ?string $taken_by id that the device made for itself
 * @property ?Carbon $taken_at when it was last heard of
 * @property SourceRow $source
 */
class JoinLink extends Model
{
    use HasUuids;

    protected $guarded = [];

    protected $hidden = ['secret', 'hash'];

    protected $casts = ['secret' => 'encrypted', 'expires_at' => 'datetime', 'taken_at' => 'datetime'];

    public static function issue(SourceRow $source): self
    {
        $secret = Str::lower(Str::random(28));

        return self::query()->updateOrCreate(['source_id' => $source->id], [
            'secret' => $secret,
            'hash' => hash('sha256', $secret),
            'expires_at' => now()->addHours(config()->integer('rhetorix.join_link_hours')),
            'taken_by' => null,
            'taken_at' => null,
        ]);
    }

    public static function known(string $secret): ?self
    {
        return self::query()->with('source')->where('hash', hash('sha256', $secret))->where('expires_at', '>', now())->first();
    }

    public function path(): string
    {
        return "/join/{$this->secret}";
    }

    /** Whether another device than this one was heard of lately. */
    public function isTakenByOther(string $device): bool
    {
        return $this->taken_by !== null && $this->taken_by !== $device
            && ($this->taken_at?->isAfter(now()->subSeconds(config()->integer('rhetorix.join_silence_seconds'))) ?? false);
    }

    /** @return BelongsTo<SourceRow, $this> */
    public function source(): BelongsTo
    {
        return $this->belongsTo(SourceRow::class);
    }
}
