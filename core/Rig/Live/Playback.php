<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/** Where a clip stands and whether it runs: a position at a moment, from which every later one follows. */
final readonly class Playback
{
    /**
     * @param  int  $position  milliseconds from the beginning of the clip
     * @param  int  $since  the moment at which it stood there, in milliseconds of the desk's clock
     */
    private function __construct(public bool $playing, public int $position, public int $since)
    {
    }

    public static function at(bool $playing, Milliseconds $position, Instant $since): self
    {
        return new self($playing, $position->count, $since->ms);
    }

    public static function fromFields(Fields $fields): self
    {
        return new self($fields->boolean('playing'), $fields->integer('position', 0, PHP_INT_MAX), $fields->integer('since', 0, PHP_INT_MAX));
    }

    /** The position at a moment, in a clip of this length; a loop begins again, others stay at their end. */
    public function positionAt(Instant $now, Milliseconds $length, ClipEnd $end): Milliseconds
    {
        $position = $this->position + ($this->playing ? max(0, $now->ms - $this->since) : 0);
        if ($position < $length->count || $length->count === 0) {
            return Milliseconds::of($position);
        }

        return Milliseconds::of($end === ClipEnd::Loop ? $position % $length->count : $length->count);
    }

    /** What is left of the clip, none in a loop that never ends. */
    public function remainingAt(Instant $now, Milliseconds $length, ClipEnd $end): Milliseconds
    {
        return Milliseconds::of(max(0, $length->count - $this->positionAt($now, $length, $end)->count));
    }

    /** @return array{playing: bool, position: int, since: int} */
    public function toArray(): array
    {
        return ['playing' => $this->playing, 'position' => $this->position, 'since' => $this->since];
    }
}
