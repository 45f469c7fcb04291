<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;

/**
 * The watch over one source: sample by sample it says what is wrong with the
 * signal and since when. A fault is said when it has lasted, and taken back
 * when it has been gone for a while.
 */
final readonly class Watch
{
    /**
     * @param  array<string, array{since: int, seen: int}>  $marks  by signal: since when it is there, and when it was last seen
     * @param  ?int  $fine  since when nothing has been wrong
     */
    private function __construct(private array $marks, private Habit $habit, private ?int $fine, private ?Finding $newest)
    {
    }

    public static function begin(): self
    {
        return new self([], Habit::unknown(), null, null);
    }

    public function after(Sample $sample, Expected $expected, Instant $at): self
    {
        $values = (new Judgement($this->habit, $expected))->of($sample);
        $marks = [];
        foreach (Signal::cases() as $signal) {
            $mark = $this->marks[$signal->value] ?? null;
            if (isset($values[$signal->value])) {
                $marks[$signal->value] = ['since' => $mark['since'] ?? $at->ms, 'seen' => $at->ms];
            } elseif ($mark !== null && $at->ms - $mark['seen'] < $signal->clearedAfter()->count && $this->isRaised($signal, $mark)) {
                $marks[$signal->value] = $mark;
            }
        }
        $suspicious = array_intersect_key($values, array_flip([Signal::Lost->value, Signal::Black->value, Signal::Frozen->value, Signal::Slow->value]));
        $habit = $suspicious === [] ? $this->habit->learned($sample, ! isset($values[Signal::Dark->value])) : $this->habit;
        $next = new self($marks, $habit, null, null);

        return new self(
            $marks,
            isset($values[Signal::ColourShift->value]) ? $this->habit : $habit,
            $next->raised() === [] ? ($this->fine ?? $at->ms) : null,
            Finding::first($next->raised(), $values, $at, $this->newest),
        );
    }

    /** @return array<string, int> signals that are said, the gravest first, with since when */
    public function raised(): array
    {
        $raised = [];
        foreach (Signal::cases() as $signal) {
            $mark = $this->marks[$signal->value] ?? null;
            if ($mark !== null && $this->isRaised($signal, $mark)) {
                $raised[$signal->value] = $mark['since'];
            }
        }

        return $raised;
    }

    /** The gravest thing, or that it is live, and since when; null before the first sample. */
    public function finding(): ?Finding
    {
        return $this->newest ?? ($this->fine === null ? null : new Finding(Signal::Live, new Instant($this->fine), null));
    }

    /** @param  array{since: int, seen: int}  $mark */
    private function isRaised(Signal $signal, array $mark): bool
    {
        return $signal->raisedAfter()->count <= $mark['seen'] - $mark['since'];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['marks' => (object) $this->marks, 'habit' => $this->habit->toArray(), 'fine' => $this->fine, 'newest' => $this->newest?->toArray()];
    }

    /** @param  mixed  $data made by toArray() */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'watch');
        $marks = [];
        foreach ((array) ($fields->all()['marks'] ?? []) as $signal => $mark) {
            $mark = Fields::of($mark, 'marks');
            $marks[(string) $signal] = ['since' => $mark->integer('since', 0, PHP_INT_MAX), 'seen' => $mark->integer('seen', 0, PHP_INT_MAX)];
        }

        return new self(
            $marks,
            Habit::fromFields($fields->object('habit')),
            $fields->has('fine') ? $fields->integer('fine', 0, PHP_INT_MAX) : null,
            $fields->has('newest') ? Finding::fromFields($fields->object('newest')) : null,
        );
    }
}
