<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/** A transition under way: from one picture to another, since a moment. */
final readonly class Flight
{
    private function __construct(
        public string $from,
        public string $to,
        public Transition $transition,
        public Instant $started,
    ) {
    }

    public static function fromRegisters(Registers $registers): self
    {
        return new self(
            (string) $registers->value('from'),
            (string) $registers->value('to'),
            new Transition(
                TransitionKind::from((string) $registers->value('kind')),
                Milliseconds::of((int) $registers->value('duration')),
            ),
            new Instant((int) $registers->value('started')),
        );
    }

    public function ends(): Instant
    {
        return $this->started->plus($this->transition->duration);
    }

    /** How much of it has run at a moment, 0 to 1. */
    public function progress(Instant $at): float
    {
        return max(0.0, min(1.0, ($at->ms - $this->started->ms) / $this->transition->duration->count));
    }

    public function label(): string
    {
        return $this->transition->label();
    }
}
