<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Time\Instant;

/**
 * What is on air and what is next, for pictures and for the sources that can
 * really be seen in them. A transition under way has both pictures on air.
 */
final readonly class Tally
{
    /**
     * @param  array<string, TallyState>  $pictures  by id, only those that are not off
     * @param  array<string, TallyState>  $sources  by id, only those that are not off
     */
    private function __construct(public array $pictures, public array $sources)
    {
    }

    public static function of(Desk $desk, PlanBook $book, Instant $at): self
    {
        $pictures = [];
        $sources = [];
        $preview = $desk->preview();
        foreach ($preview === null ? [] : [$preview] as $picture) {
            $pictures[$picture] = TallyState::Preview;
            $sources += array_fill_keys($book->planOf($picture)->visibleSources(), TallyState::Preview);
        }
        $inset = $desk->inset($book->size(), $at);
        foreach ($desk->onAir() as $picture) {
            $pictures[$picture] = TallyState::Program;
            // Where the inset fills the canvas, nothing beneath it is seen.
            $seen = $inset?->fills($book->size()) === true ? [] : $book->planOf($picture)->visibleSources();
            $sources = [...$sources, ...array_fill_keys($seen, TallyState::Program)];
        }
        if ($inset !== null && isset($book->sources()[$inset->source])) {
            $sources[$inset->source] = TallyState::Program;
        }

        return new self($pictures, $sources);
    }

    public function ofPicture(string $id): TallyState
    {
        return $this->pictures[$id] ?? TallyState::Off;
    }

    public function ofSource(string $id): TallyState
    {
        return $this->sources[$id] ?? TallyState::Off;
    }

    /** @return array{pictures: object, sources: object} as JSON objects, also when empty */
    public function toArray(): array
    {
        $values = fn (TallyState $state): string => $state->value;

        return ['pictures' => (object) array_map($values, $this->pictures), 'sources' => (object) array_map($values, $this->sources)];
    }
}
