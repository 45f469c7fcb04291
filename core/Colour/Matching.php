<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

use Rhetorix\Core\Support\Refusal;

/**
 * Makes one camera look like another from patches that both see: for each
 * channel the gain and the offset of light that bring the patches of the one
 * nearest to those of the other, by least squares.
 *
 * An offset is taken only as far as the patches show dark and light enough to
 * tell it from a gain: it is held down by a penalty.
 */
final class Matching
{
    /** Parts of a patch that are compared, from its darkest to its brightest. */
    private const SHARES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];

    /** An error in the dark is seen more: weight by how steep coded values are there. */
    private const DARK = 0.03;

    private const OFFSET_PENALTY = 0.02;

    /**
     * @param  non-empty-list<array{Patch, Patch}>  $pairs  the same thing, as it is and as it shall be
     *
     * @throws Refusal when no sensible correction brings them together
     */
    public static function of(array $pairs): Matched
    {
        $fits = array_map(fn (int $channel): array => self::fit($channel, $pairs), [0, 1, 2]);

        return self::within(
            [$fits[0][0], $fits[1][0], $fits[2][0]],
            [$fits[0][1], $fits[1][1], $fits[2][1]],
        );
    }

    /** A patch that is grey in the world shall be grey in the picture, as bright as it is. */
    public static function grey(Patch $patch): Matched
    {
        $light = $patch->meanLight();
        $luminance = 0.2126 * $light[0] + 0.7152 * $light[1] + 0.0722 * $light[2];

        return self::within(
            [$luminance / max(1e-4, $light[0]), $luminance / max(1e-4, $light[1]), $luminance / max(1e-4, $light[2])],
            [0.0, 0.0, 0.0],
        );
    }

    /**
     * How far the patches are from each other, as people see it.
     *
     * @param  non-empty-list<array{Patch, Patch}>  $pairs
     * @return float CIEDE2000, mean over the pairs
     */
    public static function difference(array $pairs, Matched $matched): float
    {
        $sum = 0.0;
        foreach ($pairs as [$from, $to]) {
            $light = $from->meanLight();
            $put = fn (int $channel): float => max(0.0, min(1.0, $matched->gain[$channel] * $light[$channel] + $matched->offset[$channel]));
            $sum += Lab::ofLight([$put(0), $put(1), $put(2)])->differenceTo(Lab::ofLight($to->meanLight()));
        }

        return $sum / count($pairs);
    }

    /**
     * @param  non-empty-list<array{Patch, Patch}>  $pairs
     * @return array{float, float} gain and offset
     */
    private static function fit(int $channel, array $pairs): array
    {
        // Sums of the normal equations: weights, x, y, x squared, x times y.
        [$w, $x, $y, $xx, $xy] = [0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($pairs as [$from, $to]) {
            foreach (self::SHARES as $share) {
                [$is, $shall] = [$from->lightAt($channel, $share), $to->lightAt($channel, $share)];
                $weight = 1 / ($shall + self::DARK);
                $w += $weight;
                $x += $weight * $is;
                $y += $weight * $shall;
                $xx += $weight * $is * $is;
                $xy += $weight * $is * $shall;
            }
        }
        $held = $w * (1 + self::OFFSET_PENALTY);
        $determinant = $xx * $held - $x * $x;
        if ($xx < 1e-9 || $determinant < 1e-12) {
            throw new Refusal('The patch is black. Take one with some light in it.');
        }

        return [($xy * $held - $x * $y) / $determinant, ($xx * $y - $x * $xy) / $determinant];
    }

    /**
     * @param  array{float, float, float}  $gain
     * @param  array{float, float, float}  $offset
     */
    private static function within(array $gain, array $offset): Matched
    {
        if (min($gain) < 0.05 || max($gain) > Matched::LARGEST_GAIN || max(array_map(abs(...), $offset)) > Matched::LARGEST_OFFSET) {
            throw new Refusal('These patches are too different to show the same thing. Choose the same place in both pictures.');
        }

        return new Matched(array_map(fn (float $value): float => round($value, 5), $gain), array_map(fn (float $value): float => round($value, 5), $offset));
    }
}
