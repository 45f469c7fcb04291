<?php

declare(strict_types=1);

namespace Rhetorix\Core\Key;

use Rhetorix\Core\Support\Refusal;

/**
 * Finds the colour of the backing: of a patch that a person points at, or
 * again in the whole picture when the light has changed.
 */
final class BackingSample
{
    /** Degrees in the plane of the colour differences by which the light may turn the backing's colour. */
    private const TURN = 40.0;

    /** Share of the picture that must look like backing to be taken for it. */
    private const LEAST_SHARE = 0.02;

    /**
     * @param  non-empty-list<array{int, int, int}>  $pixels  of the patch, levels
     * @return array{int, int, int} the colour in the middle of them
     */
    public static function ofPatch(array $pixels): array
    {
        $middle = function (int $channel) use ($pixels): int {
            $levels = array_column($pixels, $channel);
            sort($levels);

            return $levels[intdiv(count($levels), 2)];
        };

        return [$middle(0), $middle(1), $middle(2)];
    }

    /**
     * @param  list<array{int, int, int}>  $cells  colours of the picture, cell by cell, levels
     * @return ChromaKey the same key on the backing's colour of now
     *
     * @throws Refusal when no backing is seen
     */
    public static function again(ChromaKey $key, array $cells): ChromaKey
    {
        [$blue, $red] = ChromaKey::chroma($key->colour);
        $direction = atan2($red, $blue);
        $backing = [];
        foreach ($cells as $cell) {
            [$cellBlue, $cellRed] = ChromaKey::chroma($cell);
            $turn = abs(rad2deg(atan2(sin(atan2($cellRed, $cellBlue) - $direction), cos(atan2($cellRed, $cellBlue) - $direction))));
            if ($turn <= self::TURN && hypot($cellBlue, $cellRed) >= ChromaKey::LEAST_CHROMA) {
                $backing[] = $cell;
            }
        }
        if ($backing === [] || count($backing) < self::LEAST_SHARE * count($cells)) {
            throw new Refusal('No backing of this colour is seen any more. Point at it once.');
        }

        return new ChromaKey(self::ofPatch(self::strongest($backing)), $key->tolerance, $key->softness, $key->spill, $key->inside);
    }

    /**
     * The more colourful half: cells at the subject's edge are mixed with it.
     *
     * @param  non-empty-list<array{int, int, int}>  $cells
     * @return non-empty-list<array{int, int, int}>
     */
    private static function strongest(array $cells): array
    {
        usort($cells, fn (array $a, array $b): int => hypot(...ChromaKey::chroma($b)) <=> hypot(...ChromaKey::chroma($a)));

        return array_slice($cells, 0, max(1, intdiv(count($cells) + 1, 2)));
    }
}
