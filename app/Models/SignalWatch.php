<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Rhetorix\Core\Budget\StepDown;
use Rhetorix\Core\LineUp\Health\Finding;
use Rhetorix\Core\LineUp\Health\Watch;

/**
 * The watch over the signals of a show, from sample to sample.
 *
 * @property string $show_id
 * @property array<string, mixed> $watches by source id
 * @property ?array<string, mixed> $host what the picture host said of itself
 * @property ?array<string, mixed> $quality how far quality was stepped down
 * @property Carbon $seen_at
 */
class SignalWatch extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'show_id';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['watches' => 'array', 'host' => 'array', 'quality' => 'array', 'seen_at' => 'datetime'];

    public function stepDown(): StepDown
    {
        return $this->quality === null || ! $this->isFresh() ? StepDown::begin() : StepDown::fromArray($this->quality);
    }

    /** @return array<string, Watch> by source id */
    public function toWatches(): array
    {
        return array_map(Watch::fromArray(...), $this->watches);
    }

    /** @return array<string, Finding> by source id, only while the host is heard of */
    public function findings(): array
    {
        return $this->isFresh() ? array_filter(array_map(fn (Watch $watch): ?Finding => $watch->finding(), $this->toWatches())) : [];
    }

    /** Whether the picture host was heard of lately. */
    public function isFresh(): bool
    {
        return $this->seen_at->isAfter(now()->subSeconds(config()->integer('rhetorix.host_lease_seconds')));
    }
}
