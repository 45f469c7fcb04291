<?php

declare(strict_types=1);

namespace Rhetorix\Core\Key;

/** A flat colour to stand behind a source, for the far end to take out again. */
final class FlatColour
{
    /** The screen's own full primaries and their mixture: as colourful as a picture can be. */
    private const OFFERED = ['#00ff00', '#0000ff', '#ff00ff'];

    /**
     * The one that the subject has least of.
     *
     * @param  list<array{int, int, int}>  $cells  colours of what stands in front, levels
     */
    public static function furthestFrom(array $cells): string
    {
        $best = self::OFFERED[0];
        $most = INF;
        foreach (self::OFFERED as $hex) {
            $key = new ChromaKey([(int) hexdec(substr($hex, 1, 2)), (int) hexdec(substr($hex, 3, 2)), (int) hexdec(substr($hex, 5, 2))]);
            $like = array_sum(array_map($key->likeness(...), $cells));
            if ($like < $most) {
                [$best, $most] = [$hex, $like];
            }
        }

        return $best;
    }
}
