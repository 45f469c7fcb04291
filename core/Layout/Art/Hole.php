<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Art;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Shape;

/** A place for a window in a drawn frame. */
final readonly class Hole
{
    /** Share of the area by which a hole may differ from an outline: soft edges, odd pixels. */
    private const ROUGH = 0.015;

    /** Pixels of rounding below which it is the soft edge of a drawing. */
    private const LEAST_RADIUS = 4;

    /**
     * @param  Rect  $box  pixels of the art
     * @param  int  $area  pixels
     * @param  ?Shape  $shape  null for any other outline
     * @param  float  $radius  of rounded corners, as a fraction of the shorter side
     */
    private function __construct(public Rect $box, public int $area, public ?Shape $shape, public float $radius)
    {
    }

    /**
     * The plainest outline that the hole has.
     *
     * @param  list<array{int, int, int}>  $runs  {y, from, to}
     */
    public static function of(Rect $box, int $area, array $runs): self
    {
        $side = min($box->width, $box->height);
        // (4 - π)·r² of the box of a rounded rectangle is free.
        $radius = min(0.5, sqrt(max(0.0, $box->area() - $area) / (4 - M_PI)) / $side);
        $differs = fn (Shape $shape): float => self::differs($shape->outline($box, $radius), $runs) / $area;
        [$plain, $rounded] = [$differs(Shape::Rectangle), $differs(Shape::Rounded)];
        // Rounding that is small in a large hole still shows: it must explain most of what the corners lack.
        $isRounded = $radius * $side >= self::LEAST_RADIUS && $rounded < 0.4 * $plain;

        return match (true) {
            $plain <= self::ROUGH && ! $isRounded => new self($box, $area, Shape::Rectangle, 0.0),
            $differs(Shape::Circle) <= self::ROUGH => new self($box, $area, Shape::Circle, 0.0),
            $rounded <= self::ROUGH => new self($box, $area, Shape::Rounded, $radius),
            default => new self($box, $area, null, 0.0),
        };
    }

    /** The same hole where the art is painted on a canvas of this size. */
    public function on(Size $canvas, Size $art): Rect
    {
        [$across, $down] = [$canvas->width / $art->width, $canvas->height / $art->height];

        return new Rect($this->box->x * $across, $this->box->y * $down, $this->box->width * $across, $this->box->height * $down);
    }

    /**
     * Pixels that are in one of them only.
     *
     * @param  list<array{int, int, int}>  $runs
     */
    private static function differs(RoundedRect $outline, array $runs): float
    {
        $common = 0.0;
        $own = 0;
        foreach ($runs as [$y, $from, $to]) {
            $span = $outline->spanAt($y + 0.5);
            $common += $span === null ? 0.0 : max(0.0, min($to, $span[1]) - max($from, $span[0]));
            $own += $to - $from;
        }

        return $own + $outline->area() - 2 * $common;
    }
}
