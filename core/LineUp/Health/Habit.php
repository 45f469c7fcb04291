<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

use Rhetorix\Core\Support\Fields;

/** What is usual for a source: how much noise its pictures have, and their colours, cell by cell. */
final readonly class Habit
{
    /** Shares of a new sample in what is usual: quick to learn at first, slow afterwards. */
    private const FIRST = 0.3;

    private const LATER = 0.04;

    private const COLOUR = 0.02;

    private const FIRST_SAMPLES = 6;

    /**
     * @param  ?float  $noise  levels
     * @param  list<array{float, float, float}>  $cells  luma, Cb, Cr
     */
    private function __construct(private int $samples, public ?float $noise, private array $cells)
    {
    }

    public static function unknown(): self
    {
        return new self(0, null, []);
    }

    /** @param  bool  $noiseCounts  whether the noise of this sample is that of a living picture */
    public function learned(Sample $sample, bool $noiseCounts): self
    {
        $share = $this->samples < self::FIRST_SAMPLES ? self::FIRST : self::LATER;
        $level = $sample->noiseLevel();
        $noise = $noiseCounts && $level !== null
            ? ($this->noise === null ? $level : $this->noise + $share * ($level - $this->noise))
            : $this->noise;

        return new self($this->samples + 1, $noise, $this->learnedCells($sample));
    }

    /**
     * How far the colours of the whole picture have moved from what is usual,
     * in levels; 0 while nothing is known, and where the camera looks at
     * something else.
     */
    public function colourShift(Sample $sample): float
    {
        if ($this->samples < self::FIRST_SAMPLES || $this->cells === [] || $sample->cells === [] || $this->isOtherScene($sample)) {
            return 0.0;
        }

        return hypot($this->shift($sample, 1), $this->shift($sample, 2));
    }

    /** @return list<array{float, float, float}> */
    private function learnedCells(Sample $sample): array
    {
        if ($this->cells === [] || $sample->cells === [] || $this->isOtherScene($sample)) {
            return $sample->cells === [] ? $this->cells : $sample->cells;
        }
        $share = $this->samples < self::FIRST_SAMPLES ? self::FIRST : self::COLOUR;
        $mixed = [];
        foreach ($this->cells as $i => [$luma, $cb, $cr]) {
            [$newLuma, $newCb, $newCr] = $sample->cells[$i] ?? [$luma, $cb, $cr];
            $mixed[] = [$luma + $share * ($newLuma - $luma), $cb + $share * ($newCb - $cb), $cr + $share * ($newCr - $cr)];
        }

        return $mixed;
    }

    private function isOtherScene(Sample $sample): bool
    {
        $moves = [];
        foreach ($this->cells as $i => [$luma]) {
            $moves[] = abs(($sample->cells[$i][0] ?? $luma) - $luma);
        }

        return $moves !== [] && Median::of($moves) > Thresholds::OTHER_SCENE;
    }

    /** The middle of the cells' movements: a person who walks in moves a few of them, a white balance moves all. */
    private function shift(Sample $sample, int $part): float
    {
        $moves = [];
        foreach ($this->cells as $i => $cell) {
            $moves[] = ($sample->cells[$i][$part] ?? $cell[$part]) - $cell[$part];
        }

        return $moves === [] ? 0.0 : Median::of($moves);
    }

    /** @return array{samples: int, noise: ?float, cells: list<array{float, float, float}>} */
    public function toArray(): array
    {
        $round = fn (float $value): float => round($value, 2);

        return [
            'samples' => $this->samples,
            'noise' => $this->noise === null ? null : round($this->noise, 4),
            'cells' => array_map(fn (array $cell): array => [$round($cell[0]), $round($cell[1]), $round($cell[2])], $this->cells),
        ];
    }

    public static function fromFields(Fields $fields): self
    {
        $cells = [];
        foreach ((array) ($fields->all()['cells'] ?? []) as $cell) {
            $numbers = array_map(fn (mixed $value): float => is_int($value) || is_float($value) ? (float) $value : 0.0, array_values((array) $cell));
            $cells[] = [$numbers[0] ?? 0.0, $numbers[1] ?? 128.0, $numbers[2] ?? 128.0];
        }

        return new self($fields->integer('samples', 0, PHP_INT_MAX), $fields->has('noise') ? $fields->number('noise', 0, 255) : null, $cells);
    }
}
