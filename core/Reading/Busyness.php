<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;

/**
 * Where on a slide or another picture something is: letters, lines, faces all
 * have edges, empty ground has none. The picture is divided into cells, each
 * with the strength of the edges in it.
 */
final readonly class Busyness
{
    private const COLUMNS = 64;

    /** Levels between neighbours below which a difference is noise or a soft ground. */
    private const NOISE = 12;

    /** A cell with this share of the busiest one's strength has something in it. */
    private const BUSY = 0.08;

    /** @param  non-empty-list<float>  $strengths  row by row */
    private function __construct(public int $columns, public int $rows, private array $strengths)
    {
    }

    public static function in(LumaImage $image): self
    {
        $columns = min(self::COLUMNS, intdiv($image->width, 2));
        $rows = max(1, (int) round($columns * $image->height / $image->width));
        $strengths = array_fill(0, $columns * $rows, 0.0);
        $columnOf = array_map(fn (int $x): int => intdiv($x * $columns, $image->width), range(0, $image->width - 1));
        $above = '';
        for ($y = 0; $y < $image->height; $y++) {
            $line = substr($image->bytes, $y * $image->width, $image->width);
            $row = intdiv($y * $rows, $image->height) * $columns;
            for ($x = 1; $x < $image->width; $x++) {
                $here = ord($line[$x]);
                $edge = abs($here - ord($line[$x - 1])) + ($above === '' ? 0 : abs($here - ord($above[$x])));
                if ($edge > self::NOISE) {
                    $strengths[$row + $columnOf[$x]] += $edge - self::NOISE;
                }
            }
            $above = $line;
        }

        return new self($columns, $rows, array_values($strengths) ?: [0.0]);
    }

    /**
     * Share of all edges of the picture that lie under a shape, 0 to 1.
     *
     * @param  Rect  $shown  where the picture lies, in the same pixels as the shape
     */
    public function shareUnder(RoundedRect $shape, Rect $shown): float
    {
        $under = 0.0;
        for ($row = 0; $row < $this->rows; $row++) {
            $span = $shape->spanAt($shown->y + ($row + 0.5) / $this->rows * $shown->height);
            if ($span === null) {
                continue;
            }
            $column = fn (float $x): float => ($x - $shown->x) / $shown->width * $this->columns - 0.5;
            $from = max(0, (int) ceil($column($span[0])));
            $to = min($this->columns - 1, (int) floor($column($span[1])));
            for ($i = $from; $i <= $to; $i++) {
                $under += $this->strengths[$row * $this->columns + $i];
            }
        }
        $all = array_sum($this->strengths);

        return $all > 0 ? $under / $all : 0.0;
    }

    /**
     * The cells with something in them, as fractions of the picture.
     *
     * @return list<array{x: float, y: float, width: float, height: float}>
     */
    public function busyCells(): array
    {
        $least = self::BUSY * max($this->strengths);
        $cells = [];
        for ($row = 0; $row < $this->rows; $row++) {
            for ($from = 0; $from < $this->columns; $from++) {
                $to = $from;
                while ($to < $this->columns && $this->strengths[$row * $this->columns + $to] > $least) {
                    $to++;
                }
                if ($to > $from) {
                    $cells[] = ['x' => $from / $this->columns, 'y' => $row / $this->rows, 'width' => ($to - $from) / $this->columns, 'height' => 1 / $this->rows];
                    $from = $to;
                }
            }
        }

        return $cells;
    }
}
