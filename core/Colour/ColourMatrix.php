<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

/**
 * Four rows of five: red, green, blue and alpha of the result, each from red,
 * green, blue, alpha and one, all 0 to 1 and coded.
 *
 * Source of the layout and of the three filters: W3C Filter Effects Module
 * Level 1, feColorMatrix and the shorthand filters brightness(), contrast()
 * and saturate().
 */
final readonly class ColourMatrix
{
    /** @param  list<list<float>>  $rows  four of five */
    private function __construct(private array $rows)
    {
    }

    public static function same(): self
    {
        return self::scaled(1.0, 0.0);
    }

    /** @param  float  $amount  1 leaves it, 2 is twice as bright */
    public static function brightness(float $amount): self
    {
        return self::scaled($amount, 0.0);
    }

    /** @param  float  $amount  1 leaves it, 0 is all grey */
    public static function contrast(float $amount): self
    {
        return self::scaled($amount, 0.5 - 0.5 * $amount);
    }

    /** @param  float  $amount  1 leaves it, 0 has no colour */
    public static function saturation(float $amount): self
    {
        $s = $amount;

        return new self([
            [0.213 + 0.787 * $s, 0.715 - 0.715 * $s, 0.072 - 0.072 * $s, 0.0, 0.0],
            [0.213 - 0.213 * $s, 0.715 + 0.285 * $s, 0.072 - 0.072 * $s, 0.0, 0.0],
            [0.213 - 0.213 * $s, 0.715 - 0.715 * $s, 0.072 + 0.928 * $s, 0.0, 0.0],
            [0.0, 0.0, 0.0, 1.0, 0.0],
        ]);
    }

    /** First this matrix, then the other. */
    public function then(self $next): self
    {
        $rows = [];
        foreach ($next->rows as $row) {
            $sums = [0.0, 0.0, 0.0, 0.0, $row[4]];
            for ($column = 0; $column < 5; $column++) {
                for ($i = 0; $i < 4; $i++) {
                    $sums[$column] += $row[$i] * $this->rows[$i][$column];
                }
            }
            $rows[] = $sums;
        }

        return new self($rows);
    }

    /** Whether each channel depends on itself alone. */
    public function isPerChannel(): bool
    {
        foreach ([0, 1, 2] as $row) {
            foreach ([0, 1, 2, 3] as $column) {
                if ($row !== $column && abs($this->rows[$row][$column]) > 1e-9) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  array{float, float, float}  $colour  coded, 0 to 1
     * @return array{float, float, float} coded, clipped to 0 to 1
     */
    public function of(array $colour): array
    {
        $mixed = fn (int $row): float => max(0.0, min(1.0, $this->rows[$row][0] * $colour[0] + $this->rows[$row][1] * $colour[1] + $this->rows[$row][2] * $colour[2] + $this->rows[$row][3] + $this->rows[$row][4]));

        return [$mixed(0), $mixed(1), $mixed(2)];
    }

    /** @return list<float> twenty numbers, row by row */
    public function toArray(): array
    {
        return array_map(fn (float $value): float => round($value, 6), array_merge(...$this->rows));
    }

    private static function scaled(float $slope, float $offset): self
    {
        return new self([
            [$slope, 0.0, 0.0, 0.0, $offset],
            [0.0, $slope, 0.0, 0.0, $offset],
            [0.0, 0.0, $slope, 0.0, $offset],
            [0.0, 0.0, 0.0, 1.0, 0.0],
        ]);
    }
}
