<?php

declare(strict_types=1);

namespace Rhetorix\Core\Time;

/** A moment: whole milliseconds since 1970-01-01 00:00 UTC. */
final readonly class Instant
{
    public function __construct(public int $ms)
    {
    }

    public function plus(Milliseconds $length): self
    {
        return new self($this->ms + $length->count);
    }

    public function isBefore(self $other): bool
    {
        return $this->ms < $other->ms;
    }
}
