<?php

declare(strict_types=1);

namespace Rhetorix\Core\Key;

use Rhetorix\Core\Support\Fields;

/** What the picture host measures of a keyed source: what is kept along the edges of the keyed part, and how clean the cut is. */
final readonly class Matte
{
    private const MOST_CELLS = 64;

    /** A cell is kept when its mean alpha is above this. */
    private const KEPT = 0.5;

    /** Cells in a row that make a hand or an arm rather than a speck, as a share of the edge. */
    private const RUN = 0.08;

    /** An edge that is kept nearly everywhere is no backing at all. */
    private const NO_BACKING = 0.8;

    /** The foot of the left and the right edge: a table or a lectern stands there. */
    private const FOOT = 0.17;

    /** Share of pixels that are neither kept nor cut, from where on the backing is not clean. */
    private const UNCLEAN = 0.06;

    /**
     * @param  array<string, list<float>>  $edges  mean alpha along "left", "right" and "top", from the top or the left, 0 to 1
     * @param  float  $between  share of pixels that are neither kept nor cut, 0 to 1
     */
    private function __construct(private array $edges, private float $between)
    {
    }

    public static function fromFields(Fields $fields): self
    {
        $edge = fn (string $name): array => array_map(
            fn (mixed $alpha): float => is_int($alpha) || is_float($alpha) ? max(0.0, min(1.0, (float) $alpha)) : 0.0,
            array_slice(array_values((array) ($fields->all()[$name] ?? [])), 0, self::MOST_CELLS),
        );

        return new self(['left' => $edge('left'), 'right' => $edge('right'), 'top' => $edge('top')], $fields->number('between', 0, 1));
    }

    /** Where the subject goes beyond the keyed part, in words; null where it does not. */
    public function cutOff(): ?string
    {
        $at = [];
        foreach ($this->edges as $name => $cells) {
            $cells = $this->aboveFoot($name, $cells);
            if ($this->keptShare($cells) < self::NO_BACKING && $this->longestRun($cells) >= max(2, self::RUN * count($cells))) {
                $at[] = $name;
            }
        }

        return $at === [] ? null : 'cut at the '.implode(' and ', $at).' edge';
    }

    /** What is wrong with the backing, in words; null where it is clean. */
    public function unclean(): ?string
    {
        $open = [];
        foreach ($this->edges as $name => $cells) {
            if ($cells !== [] && $this->keptShare($this->aboveFoot($name, $cells)) >= self::NO_BACKING) {
                $open[] = $name;
            }
        }

        return match (true) {
            $open !== [] => 'no backing at the '.implode(' and ', $open).' edge',
            $this->between > self::UNCLEAN => sprintf('%d %% is neither kept nor cut', round(100 * $this->between)),
            default => null,
        };
    }

    /**
     * @param  list<float>  $cells
     * @return list<float>
     */
    private function aboveFoot(string $edge, array $cells): array
    {
        return $edge === 'top' ? $cells : array_slice($cells, 0, (int) round((1 - self::FOOT) * count($cells)));
    }

    /** @param  list<float>  $cells */
    private function keptShare(array $cells): float
    {
        return $cells === [] ? 0.0 : count(array_filter($cells, fn (float $alpha): bool => $alpha > self::KEPT)) / count($cells);
    }

    /** @param  list<float>  $cells */
    private function longestRun(array $cells): int
    {
        [$longest, $run] = [0, 0];
        foreach ($cells as $alpha) {
            $run = $alpha > self::KEPT ? $run + 1 : 0;
            $longest = max($longest, $run);
        }

        return $longest;
    }
}
