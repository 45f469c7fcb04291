<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Cover;

use Rhetorix\Core\Geometry\RoundedRect;

/**
 * How large a part of one shape others cover together; where they overlap each
 * other they count once.
 *
 * At every height the covered part is a few spans; their length is added up
 * over the height by Simpson's rule, halved until the error is below a
 * hundred-millionth of the whole. Between rectangles it is exact.
 */
final class Area
{
    private const DEEPEST = 14;

    /**
     * @param  list<RoundedRect>  $covers
     * @return float square pixels
     */
    public static function covered(RoundedRect $shape, array $covers): float
    {
        $bends = $shape->bends();
        foreach ($covers as $cover) {
            array_push($bends, ...$cover->bends());
        }
        $bends = array_values(array_unique(array_filter($bends, fn (float $y): bool => $y >= $shape->rect->y && $y <= $shape->rect->bottom())));
        sort($bends);
        $length = fn (float $y): float => self::lengthAt($y, $shape, $covers);
        $error = 1e-8 * max(1.0, $shape->area());
        $area = 0.0;
        for ($i = 1; $i < count($bends); $i++) {
            // A hair inside the bends: exactly on them a shape that ends there would count.
            $hair = 1e-9 * ($bends[$i] - $bends[$i - 1]);
            [$from, $to] = [$bends[$i - 1] + $hair, $bends[$i] - $hair];
            $area += self::simpson($length, $from, $to, [$length($from), $length(($from + $to) / 2), $length($to)], $error, self::DEEPEST);
        }

        return $area;
    }

    /** @param  list<RoundedRect>  $covers */
    private static function lengthAt(float $y, RoundedRect $shape, array $covers): float
    {
        $own = $shape->spanAt($y);
        if ($own === null) {
            return 0.0;
        }
        $spans = array_filter(array_map(fn (RoundedRect $cover): ?array => $cover->spanAt($y), $covers));
        usort($spans, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        [$length, $reached] = [0.0, $own[0]];
        foreach ($spans as [$left, $right]) {
            $left = max($left, $reached);
            $right = min($right, $own[1]);
            if ($right > $left) {
                $length += $right - $left;
                $reached = $right;
            }
        }

        return $length;
    }

    /**
     * @param  callable(float): float  $length
     * @param  array{float, float, float}  $known  values at both ends and in the middle
     */
    private static function simpson(callable $length, float $from, float $to, array $known, float $error, int $deep): float
    {
        [$a, $m, $b] = $known;
        $middle = ($from + $to) / 2;
        $left = $length(($from + $middle) / 2);
        $right = $length(($middle + $to) / 2);
        $whole = ($to - $from) / 6 * ($a + 4 * $m + $b);
        $halves = ($to - $from) / 12 * ($a + 4 * $left + 2 * $m + 4 * $right + $b);
        if ($deep === 0 || abs($halves - $whole) <= 15 * $error) {
            return $halves + ($halves - $whole) / 15;
        }

        return self::simpson($length, $from, $middle, [$a, $left, $m], $error / 2, $deep - 1)
            + self::simpson($length, $middle, $to, [$m, $right, $b], $error / 2, $deep - 1);
    }
}
