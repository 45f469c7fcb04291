<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\FrameRate;
use Rhetorix\Core\Time\Milliseconds;

/** A kind of change and how long it takes. */
final readonly class Transition
{
    public const SHORTEST_MS = 40;

    public const LONGEST_MS = 10_000;

    public function __construct(public TransitionKind $kind, public Milliseconds $duration)
    {
        if ($duration->count < self::SHORTEST_MS || $duration->count > self::LONGEST_MS) {
            throw BadInput::outOfRange('transition', 'between 0.04 s and 10 s long; use a cut for less');
        }
    }

    public static function usual(): self
    {
        return new self(TransitionKind::Mix, Milliseconds::of(1000));
    }

    /** Reads {kind, duration_ms} or {kind, frames}. */
    public static function fromFields(Fields $fields, FrameRate $rate): self
    {
        return new self(
            $fields->oneOf('kind', TransitionKind::class),
            $fields->has('frames')
                ? $rate->lengthOf($fields->integer('frames', 1, 1200))
                : Milliseconds::of($fields->integer('duration_ms', self::SHORTEST_MS, self::LONGEST_MS)),
        );
    }

    /** What its button says: "Mix 1.0 s". */
    public function label(): string
    {
        return "{$this->kind->label()} {$this->duration->inSeconds()}";
    }

    /** @return array{kind: string, duration_ms: int, label: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'duration_ms' => $this->duration->count, 'label' => $this->label()];
    }
}
