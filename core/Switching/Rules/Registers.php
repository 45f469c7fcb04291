<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

use LogicException;

/**
 * The switching state of a desk as named values, together with what the
 * command brings: the only things that rules may speak of.
 *
 * A plain name is a value of the desk; "@name" is what the command brings
 * (@id, @picture, @kind, @duration, @now, @position and @holder of the fader,
 *
 * @mode, @source, @x, @y, @width, @dragged, @ended of the inset; @seen_x, @seen_y, @seen_width,
 *
 * @seen_opacity, @seen_trim, how the inset is seen at the press) or what can be worked out of
 * both: @end, when the flight is over by itself; @reached, how far it is now;
 *
 * @hold-until, how long the fader stays with who moves it; @free, whether
 * nobody else has it; @other-way, the fader's other direction. "#none", "#yes",
 * "#no", "#start" (0) and "#whole" (1000) are constants, and so is a word:
 * "#'on'".
 */
final readonly class Registers
{
    /** The fader stays with who moved it last for so long; a hand that rests on it says so again. */
    public const HOLD_MS = 8_000;

    /** A control that travels by itself takes hold of the fader once it is so near to it, in thousandths: nothing jumps. */
    public const NEAR = 40;

    /** How far a flight is, in thousandths. */
    public const WHOLE = 1000;

    /**
     * @param  array<string, string|int|bool|null>  $desk
     * @param  array<string, string|int|bool|null>  $command
     */
    public function __construct(public array $desk, private array $command = [])
    {
    }

    public function value(string $name): string|int|bool|null
    {
        return match (true) {
            $name === '#none' => null,
            $name === '#yes' => true,
            $name === '#no' => false,
            $name === '#start' => 0,
            $name === '#whole' => self::WHOLE,
            str_starts_with($name, "#'") => substr($name, 2, -1),
            $name === '@end' => $this->end(),
            $name === '@reached' => $this->reached((int) ($this->command['now'] ?? 0)),
            $name === '@hold-until' => (int) ($this->command['now'] ?? 0) + self::HOLD_MS,
            $name === '@free' => $this->isFree(),
            $name === '@other-way' => $this->desk['way'] === 'up' ? 'down' : 'up',
            $name[0] === '@' => $this->command[substr($name, 1)] ?? null,
            array_key_exists($name, $this->desk) => $this->desk[$name],
            default => throw new LogicException("A rule speaks of {$name}, which the desk does not have."),
        };
    }

    /** When the flight will have run its time, in milliseconds; null at rest and while a hand holds it. */
    public function end(): ?int
    {
        $left = match ($this->desk['heading']) {
            'on' => self::WHOLE - (int) $this->desk['reached'],
            'back' => (int) $this->desk['reached'],
            default => null,
        };

        return $left === null ? null : (int) $this->desk['started'] + (int) round((int) $this->desk['duration'] * $left / self::WHOLE);
    }

    /** How far the flight is at a moment, in thousandths. */
    public function reached(int $now): int
    {
        return (int) round(self::WHOLE * $this->progress($now));
    }

    /** How far the flight is at a moment, 0 to 1. */
    public function progress(int $now): float
    {
        $from = (int) $this->desk['reached'] / self::WHOLE;
        $since = $this->desk['heading'] === 'hand' ? 0.0 : ($now - (int) $this->desk['started']) / max(1, (int) $this->desk['duration']);

        return max(0.0, min(1.0, $this->desk['heading'] === 'back' ? $from - $since : $from + $since));
    }

    private function isFree(): bool
    {
        $holder = $this->desk['holder'];

        return $holder === null || $holder === ($this->command['holder'] ?? null) || (int) ($this->command['now'] ?? 0) >= (int) $this->desk['holder_until'];
    }

    /** @param  array<string, string>  $assignments all read before any is written */
    public function with(array $assignments): self
    {
        $changed = array_map($this->value(...), $assignments);

        return new self([...$this->desk, ...$changed], $this->command);
    }
}
