<?php

declare(strict_types=1);

namespace Rhetorix\Core\Sound;

/** How one source enters the main mix: its level, and whether it is muted. */
final readonly class Strip
{
    public function __construct(public Decibels $level, public bool $muted)
    {
    }

    public static function open(): self
    {
        return new self(new Decibels(0.0), false);
    }

    public function withLevel(Decibels $level): self
    {
        return new self($level, $this->muted);
    }

    public function withMuted(bool $muted): self
    {
        return new self($this->level, $muted);
    }

    /** Amplitude ratio of this strip, 0 when muted. */
    public function gain(): float
    {
        return $this->muted ? 0.0 : $this->level->toStripGain();
    }

    /** @return array{level: float, muted: bool, gain: float} */
    public function toArray(): array
    {
        return ['level' => $this->level->value, 'muted' => $this->muted, 'gain' => $this->gain()];
    }
}
