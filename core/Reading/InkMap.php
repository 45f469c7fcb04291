<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

/**
 * Where a picture is written on: places that differ clearly from the ground
 * around them, dark on light or light on dark, told tile by tile.
 */
final readonly class InkMap
{
    private const TILE = 16;

    /** Levels between ground and ink; less is texture or shade. */
    private const CONTRAST = 56;

    /**
     * @param  list<array{int, int}>  $tiles  least and most luma around each tile
     * @param  list<bool>  $darkInk  whether the ink of the tile is darker than its ground
     */
    private function __construct(private LumaImage $image, private int $columns, private array $tiles, private array $darkInk)
    {
    }

    public static function of(LumaImage $image): self
    {
        $columns = intdiv($image->width + self::TILE - 1, self::TILE);
        $rows = intdiv($image->height + self::TILE - 1, self::TILE);
        $own = [];
        $means = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $counts = [];
                for ($y = $row * self::TILE; $y < min($image->height, ($row + 1) * self::TILE); $y++) {
                    $line = substr($image->bytes, $y * $image->width + $column * self::TILE, min(self::TILE, $image->width - $column * self::TILE));
                    foreach (count_chars($line, 1) as $luma => $count) {
                        $counts[$luma] = ($counts[$luma] ?? 0) + $count;
                    }
                }
                ksort($counts);
                $own[] = [(int) array_key_first($counts), (int) array_key_last($counts)];
                $sum = 0;
                foreach ($counts as $luma => $count) {
                    $sum += $luma * $count;
                }
                $means[] = $sum / max(1, array_sum($counts));
            }
        }

        return self::around($image, $columns, $rows, $own, $means);
    }

    /**
     * The runs of ink in a row.
     *
     * @return list<array{int, int}> from which column, to before which
     */
    public function runs(int $y): array
    {
        $runs = [];
        $from = null;
        $tileRow = intdiv($y, self::TILE) * $this->columns;
        for ($column = 0; $column < $this->columns; $column++) {
            [$least, $most] = $this->tiles[$tileRow + $column];
            $end = min($this->image->width, ($column + 1) * self::TILE);
            if ($most - $least < self::CONTRAST) {
                if ($from !== null) {
                    $runs[] = [$from, $column * self::TILE];
                    $from = null;
                }

                continue;
            }
            $middle = ($least + $most) / 2;
            $dark = $this->darkInk[$tileRow + $column];
            for ($x = $column * self::TILE; $x < $end; $x++) {
                if ((ord($this->image->bytes[$y * $this->image->width + $x]) < $middle) === $dark) {
                    $from ??= $x;
                } elseif ($from !== null) {
                    $runs[] = [$from, $x];
                    $from = null;
                }
            }
        }

        return $from === null ? $runs : [...$runs, [$from, $this->image->width]];
    }

    /** How much ink a pixel has: 0 ground, 1 ink, in between at the edges of letters. */
    public function amount(int $x, int $y): float
    {
        $tile = intdiv($y, self::TILE) * $this->columns + intdiv($x, self::TILE);
        [$least, $most] = $this->tiles[$tile];
        if ($most - $least < self::CONTRAST) {
            return 0.0;
        }
        $light = ($this->image->at($x, $y) - $least) / ($most - $least);

        return max(0.0, min(1.0, $this->darkInk[$tile] ? 1 - $light : $light));
    }

    /**
     * @param  list<array{int, int}>  $own
     * @param  list<float>  $means
     */
    private static function around(LumaImage $image, int $columns, int $rows, array $own, array $means): self
    {
        $tiles = [];
        $dark = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                [$least, $most, $sum, $count] = [255, 0, 0.0, 0];
                for ($y = max(0, $row - 1); $y <= min($rows - 1, $row + 1); $y++) {
                    for ($x = max(0, $column - 1); $x <= min($columns - 1, $column + 1); $x++) {
                        [$low, $high] = $own[$y * $columns + $x];
                        [$least, $most] = [min($least, $low), max($most, $high)];
                        $sum += $means[$y * $columns + $x];
                        $count++;
                    }
                }
                $tiles[] = [$least, $most];
                // There is more ground than ink, so the mean is nearer to the ground.
                $dark[] = $sum / $count > ($least + $most) / 2;
            }
        }

        return new self($image, $columns, $tiles, $dark);
    }
}
