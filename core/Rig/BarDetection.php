<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Geometry\Crop;

/**
 * Finds the black bars of a padded picture from its luma profiles: an upright
 * phone inside a wide picture, or a wide film inside a tall one.
 *
 * A bar is a run of columns (or rows) at the edge in which even the brightest
 * sample is about black. It counts only if both sides have one of about the
 * same breadth, since a dark wall at one side is not a bar.
 */
final class BarDetection
{
    /** Brightest luma of a bar, 0 to 255: video black is 16, and coding leaves a little noise. Common practice. */
    private const BLACK = 28;

    /** A bar narrower than this share of the picture is an edge, not padding. */
    private const NARROWEST = 0.02;

    /** The two bars of a pair may differ by this share of the picture. */
    private const UNEVEN = 0.04;

    /** At least this much of the picture has to be left. */
    private const LEAST_LEFT = 0.2;

    /**
     * @param  list<int>  $columns  brightest luma of each column, left to right, 0 to 255
     * @param  list<int>  $rows  brightest luma of each row, top to bottom
     * @return ?Crop the picture without its bars, or null where there are none
     */
    public static function find(array $columns, array $rows): ?Crop
    {
        [$left, $right] = self::pair($columns);
        [$top, $bottom] = self::pair($rows);
        if ($left + $right + $top + $bottom <= 0.0 || 1 - $left - $right < self::LEAST_LEFT || 1 - $top - $bottom < self::LEAST_LEFT) {
            return null;
        }

        return new Crop($left, $top, 1 - $left - $right, 1 - $top - $bottom);
    }

    /**
     * @param  list<int>  $profile
     * @return array{float, float} breadths of both bars, fractions of the picture
     */
    private static function pair(array $profile): array
    {
        $count = count($profile);
        $first = self::run($profile);
        if ($count === 0 || $first === $count) {
            return [0.0, 0.0]; // all of it is black: no picture, so no bars
        }
        [$first, $second] = [$first / $count, self::run(array_reverse($profile)) / $count];

        return min($first, $second) >= self::NARROWEST && abs($first - $second) <= self::UNEVEN ? [$first, $second] : [0.0, 0.0];
    }

    /** @param  list<int>  $profile */
    private static function run(array $profile): int
    {
        foreach ($profile as $i => $brightest) {
            if ($brightest > self::BLACK) {
                return $i;
            }
        }

        return count($profile);
    }
}
