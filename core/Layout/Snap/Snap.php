<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Snap;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Layout\Free\Place;

/**
 * Where a window comes to rest: at the nearest line within reach, else at a
 * whole pixel. Of lines equally near the first counts.
 */
final readonly class Snap
{
    /**
     * @param  Rect  $rect  canvas pixels
     * @param  list<array{axis: 'x'|'y', at: float, why: string, from: float, to: float}>  $guides  the lines it rests at, and between which heights to draw them
     */
    private function __construct(public Rect $rect, public array $guides)
    {
    }

    /**
     * @param  Rect  $start  where the window was when it was taken hold of
     * @param  float  $dx  how far the pointer went, canvas pixels
     * @param  ?float  $ratio  width over height that is kept; null: free
     * @param  float  $reach  canvas pixels within which a line attracts; 0: none does
     */
    public static function of(Rect $start, Hold $hold, float $dx, float $dy, ?float $ratio, Targets $targets, float $reach): self
    {
        return $hold === Hold::Middle
            ? self::moved($start, $dx, $dy, $targets, $reach)
            : self::resized($start, $hold, $dx, $dy, $ratio, $targets, $reach);
    }

    /** @return array{rect: array<string, float>, guides: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['rect' => $this->rect->toArray(), 'guides' => $this->guides];
    }

    private static function moved(Rect $start, float $dx, float $dy, Targets $targets, float $reach): self
    {
        [$x, $y] = [$start->x + $dx, $start->y + $dy];
        $across = self::nearest($targets->x, ['start' => $x, 'centre' => $x + $start->width / 2, 'end' => $x + $start->width], $reach);
        $down = self::nearest($targets->y, ['start' => $y, 'centre' => $y + $start->height / 2, 'end' => $y + $start->height], $reach);
        $rect = new Rect(
            $across === null ? round($x) : $x + $across[1],
            $down === null ? round($y) : $y + $down[1],
            $start->width,
            $start->height,
        );

        return new self($rect, self::guides($rect, $across[0] ?? null, $down[0] ?? null));
    }

    private static function resized(Rect $start, Hold $hold, float $dx, float $dy, ?float $ratio, Targets $targets, float $reach): self
    {
        $width = max(Place::LEAST_SIDE, $start->width + $hold->across() * $dx);
        $height = max(Place::LEAST_SIDE, $start->height + $hold->down() * $dy);
        if ($ratio !== null) {
            // A corner follows whichever way the pointer asks for more.
            $width = $hold->across() === 0 || ($hold->down() !== 0 && $height * $ratio > $width) ? $height * $ratio : $width;
            $height = $width / $ratio;
        }
        $rect = self::held($start, $hold, $width, $height);
        $across = $hold->across() === 0 ? null : self::nearest($targets->x, $hold->across() < 0 ? ['start' => $rect->x] : ['end' => $rect->right()], $reach);
        $down = $hold->down() === 0 ? null : self::nearest($targets->y, $hold->down() < 0 ? ['start' => $rect->y] : ['end' => $rect->bottom()], $reach);
        if ($ratio !== null && $across !== null && $down !== null) {
            // Only one of them can be met: the nearer.
            [$across, $down] = abs($across[1]) <= abs($down[1]) ? [$across, null] : [null, $down];
        }
        $width = max(Place::LEAST_SIDE, $across === null ? round($width) : $width + $hold->across() * $across[1]);
        $height = max(Place::LEAST_SIDE, $down === null ? round($height) : $height + $hold->down() * $down[1]);
        if ($ratio !== null) {
            $width = $down !== null || ($across === null && $hold->across() === 0) ? round($height * $ratio, 2) : $width;
            $height = $down !== null ? $height : round($width / $ratio, 2);
        }
        $rect = self::held($start, $hold, $width, $height);

        return new self($rect, self::guides($rect, $across[0] ?? null, $down[0] ?? null));
    }

    /** What is not held stays: the far edge, or the middle where neither edge is held. */
    private static function held(Rect $start, Hold $hold, float $width, float $height): Rect
    {
        return new Rect(
            match ($hold->across()) {
                -1 => $start->right() - $width,
                1 => $start->x,
                0 => $start->x + ($start->width - $width) / 2,
            },
            match ($hold->down()) {
                -1 => $start->bottom() - $height,
                1 => $start->y,
                0 => $start->y + ($start->height - $height) / 2,
            },
            $width,
            $height,
        );
    }

    /**
     * @param  list<Target>  $targets
     * @param  array<string, float>  $lines  of the window
     * @return ?array{Target, float} the line, and how far it is to it
     */
    private static function nearest(array $targets, array $lines, float $reach): ?array
    {
        $found = null;
        foreach ($targets as $target) {
            foreach ($target->takes as $take) {
                $way = isset($lines[$take]) ? $target->at - $lines[$take] : INF;
                if (abs($way) <= $reach && ($found === null || abs($way) < abs($found[1]))) {
                    $found = [$target, $way];
                }
            }
        }

        return $found;
    }

    /** @return list<array{axis: 'x'|'y', at: float, why: string, from: float, to: float}> */
    private static function guides(Rect $rect, ?Target $across, ?Target $down): array
    {
        $guides = [];
        if ($across !== null) {
            $guides[] = ['axis' => 'x', 'at' => $across->at, 'why' => $across->why, 'from' => min($across->from, $rect->y), 'to' => max($across->to, $rect->bottom())];
        }
        if ($down !== null) {
            $guides[] = ['axis' => 'y', 'at' => $down->at, 'why' => $down->why, 'from' => min($down->from, $rect->x), 'to' => max($down->to, $rect->right())];
        }

        return $guides;
    }
}
