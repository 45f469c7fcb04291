<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/** What can still be seen of a rectangle beneath others. */
final class Uncovered
{
    /** Less than this many square pixels is nothing that an eye could see. */
    private const SPECK = 0.5;

    /**
     * Whether anything of $rect shows when the $covers lie over it.
     *
     * @param  list<Rect>  $covers  opaque rectangles in front
     */
    public static function anyOf(Rect $rect, array $covers): bool
    {
        return self::area($rect, $covers) >= self::SPECK;
    }

    /**
     * The free area in square pixels; covers that overlap count once.
     *
     * @param  list<Rect>  $covers
     */
    public static function area(Rect $rect, array $covers): float
    {
        $pieces = [$rect];
        foreach ($covers as $cover) {
            $pieces = array_merge(...array_map(fn (Rect $piece): array => $piece->without($cover), $pieces));
            if ($pieces === []) {
                return 0.0;
            }
        }

        return array_sum(array_map(fn (Rect $piece): float => $piece->area(), $pieces));
    }
}
