<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/** A transition under way: from one picture to another, by the clock or by hand. */
final readonly class Flight
{
    private function __construct(
        public string $from,
        public string $to,
        public Transition $transition,
        private Registers $registers,
    ) {
    }

    public static function fromRegisters(Registers $registers): self
    {
        return new self(
            (string) $registers->value('from'),
            (string) $registers->value('to'),
            Transition::ofKey((string) $registers->value('kind'), Milliseconds::of((int) $registers->value('duration'))),
            $registers,
        );
    }

    /** When it will be over by itself; null while a hand holds it. */
    public function ends(): ?Instant
    {
        $end = $this->registers->end();

        return $end === null ? null : new Instant($end);
    }

    /** Whether it runs back to the picture from which it came. */
    public function isGoingBack(): bool
    {
        return $this->registers->desk['heading'] === 'back';
    }

    public function isByHand(): bool
    {
        return $this->registers->desk['heading'] === 'hand';
    }

    /** How much of it has run at a moment, 0 to 1. */
    public function progress(Instant $at): float
    {
        return $this->registers->progress($at->ms);
    }

    public function label(): string
    {
        return $this->transition->label();
    }
}
