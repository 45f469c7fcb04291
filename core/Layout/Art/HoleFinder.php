<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Art;

use Rhetorix\Core\Geometry\Rect;

/**
 * Finds the places of a drawn frame: areas of holes that hang together by
 * their sides. Runs of a row are joined with those of the row above that they
 * touch (union by the lower number).
 */
final class HoleFinder
{
    /** Share of the art below which a hole is a speck. */
    private const LEAST_AREA = 0.002;

    private const MOST_HOLES = 24;

    /** @return list<Hole> from the top left to the bottom right; at most 24, the largest */
    public static function in(Bitmap $art): array
    {
        [$runs, $parents] = self::joined($art);
        $areas = [];
        foreach ($runs as $i => [$y, $from, $to]) {
            $root = self::root($parents, $i);
            $area = $areas[$root] ?? ['area' => 0, 'left' => $from, 'right' => $to, 'top' => $y, 'bottom' => $y + 1, 'runs' => []];
            $areas[$root] = [
                'area' => $area['area'] + $to - $from,
                'left' => min($area['left'], $from),
                'right' => max($area['right'], $to),
                'top' => min($area['top'], $y),
                'bottom' => max($area['bottom'], $y + 1),
                'runs' => $area['runs'],
            ];
            $areas[$root]['runs'][] = $i;
        }
        $areas = array_filter($areas, fn (array $area): bool => $area['area'] >= self::LEAST_AREA * $art->width * $art->height);
        usort($areas, fn (array $a, array $b): int => $b['area'] <=> $a['area']);
        $holes = array_map(function (array $area) use ($runs): Hole {
            $box = new Rect($area['left'], $area['top'], $area['right'] - $area['left'], $area['bottom'] - $area['top']);

            return Hole::of($box, $area['area'], array_map(fn (int $i): array => $runs[$i], $area['runs']));
        }, array_slice($areas, 0, self::MOST_HOLES));
        usort($holes, fn (Hole $a, Hole $b): int => [$a->box->y, $a->box->x] <=> [$b->box->y, $b->box->x]);

        return $holes;
    }

    /** @return array{list<array{int, int, int}>, array<int, int>} runs as {y, from, to}, and to which each belongs */
    private static function joined(Bitmap $art): array
    {
        [$runs, $parents, $above] = [[], [], []];
        for ($y = 0; $y < $art->height; $y++) {
            $here = [];
            $next = 0;
            foreach ($art->runs($y) as [$from, $to]) {
                $i = count($runs);
                $runs[] = [$y, $from, $to];
                $parents[$i] = $i;
                $here[] = $i;
                while ($next < count($above) && $runs[$above[$next]][2] <= $from) {
                    $next++;
                }
                for ($k = $next; $k < count($above) && $runs[$above[$k]][1] < $to; $k++) {
                    [$a, $b] = [self::root($parents, $i), self::root($parents, $above[$k])];
                    $parents[max($a, $b)] = min($a, $b);
                }
            }
            $above = $here;
        }

        return [$runs, $parents];
    }

    /** @param  array<int, int>  $parents */
    private static function root(array &$parents, int $i): int
    {
        while ($parents[$i] !== $i) {
            $parents[$i] = $parents[$parents[$i]];
            $i = $parents[$i];
        }

        return $i;
    }
}
