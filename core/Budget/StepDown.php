<?php

declare(strict_types=1);

namespace Rhetorix\Core\Budget;

use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;

/**
 * When quality steps down and when it comes back. Down after some seconds in
 * which too many frames were late; up after a longer calm; and when a step up
 * was a mistake, the next one is waited for twice as long.
 */
final readonly class StepDown
{
    /** Share of late frames. */
    private const LATE = 0.10;

    /** Two of thirty: one late frame now and then is no reason to stay down. */
    private const CALM = 0.07;

    /** Milliseconds. */
    private const DOWN_AFTER = 2_500;

    private const UP_AFTER = 10_000;

    private const MOST_PATIENCE = 160_000;

    /** While devices open and pages are painted for the first time, late frames say nothing. */
    private const WARMING = 8_000;

    /** A fall so soon after a step up says that the step was a mistake. */
    private const MISTAKE = 20_000;

    /**
     * @param  int  $level  of Quality
     * @param  ?int  $late  since when frames are late
     * @param  ?int  $calm  since when they are not
     * @param  ?int  $raised  when it was stepped up last
     * @param  int  $patience  milliseconds of calm that the next step up takes
     */
    private function __construct(public int $level, private ?int $late, private ?int $calm, private ?int $raised, private int $patience)
    {
    }

    public static function begin(): self
    {
        return new self(0, null, null, null, self::UP_AFTER);
    }

    /**
     * @param  float  $late  share of late frames in the last second, 0 to 1
     * @param  int  $running  milliseconds since the host began to paint
     */
    public function after(float $late, Instant $at, int $running = PHP_INT_MAX): self
    {
        $late = $running < self::WARMING ? 0.0 : $late;
        $lateSince = $late >= self::LATE ? ($this->late ?? $at->ms) : null;
        $calmSince = $late <= self::CALM ? ($this->calm ?? $at->ms) : null;
        if ($lateSince !== null && $at->ms - $lateSince >= self::DOWN_AFTER && $this->level < Quality::last()) {
            $mistake = $this->raised !== null && $at->ms - $this->raised < self::MISTAKE;

            return new self($this->level + 1, null, null, null, $mistake ? min(self::MOST_PATIENCE, 2 * $this->patience) : $this->patience);
        }
        if ($calmSince !== null && $this->level > 0 && $at->ms - $calmSince >= $this->patience) {
            return new self($this->level - 1, null, $at->ms, $at->ms, $this->level === 1 ? self::UP_AFTER : $this->patience);
        }

        return new self($this->level, $lateSince, $calmSince, $this->raised, $this->patience);
    }

    /** @return array<string, ?int> */
    public function toArray(): array
    {
        return ['level' => $this->level, 'late' => $this->late, 'calm' => $this->calm, 'raised' => $this->raised, 'patience' => $this->patience];
    }

    /** @param  mixed  $data  made by toArray() */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'quality');
        $moment = fn (string $name): ?int => $fields->has($name) ? $fields->integer($name, 0, PHP_INT_MAX) : null;

        return new self($fields->integer('level', 0, Quality::last()), $moment('late'), $moment('calm'), $moment('raised'), $fields->integer('patience', self::UP_AFTER, self::MOST_PATIENCE));
    }
}
