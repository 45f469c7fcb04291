<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/**
 * A rectangle with equally rounded corners, in pixels. A radius of half its
 * shorter side makes a square a circle, so that every shape of a window is
 * one of these, and one can travel into another.
 */
final readonly class RoundedRect
{
    public float $radius;

    public function __construct(public Rect $rect, float $radius = 0.0)
    {
        $this->radius = max(0.0, min($radius, $rect->width / 2, $rect->height / 2));
    }

    /** Square pixels: the four corners leave (4 - π)·r² of the rectangle free. */
    public function area(): float
    {
        return $this->rect->area() - (4 - M_PI) * $this->radius ** 2;
    }

    /**
     * From where to where it reaches at a height; null above and below it.
     *
     * @return ?array{float, float} canvas pixels
     */
    public function spanAt(float $y): ?array
    {
        if ($y < $this->rect->y || $y > $this->rect->bottom()) {
            return null;
        }
        $intoCorner = max($this->rect->y + $this->radius - $y, $y - ($this->rect->bottom() - $this->radius), 0.0);
        $cut = $this->radius - sqrt(max(0.0, $this->radius ** 2 - $intoCorner ** 2));

        return [$this->rect->x + $cut, $this->rect->right() - $cut];
    }

    /** @return list<float> heights between which its sides are smooth */
    public function bends(): array
    {
        return $this->radius > 0
            ? [$this->rect->y, $this->rect->y + $this->radius, $this->rect->bottom() - $this->radius, $this->rect->bottom()]
            : [$this->rect->y, $this->rect->bottom()];
    }

    /** A rectangle that lies wholly inside: at the corners it touches the arcs. */
    public function core(): Rect
    {
        $by = $this->radius * (1 - M_SQRT1_2);

        return new Rect($this->rect->x + $by, $this->rect->y + $by, max(0.0, $this->rect->width - 2 * $by), max(0.0, $this->rect->height - 2 * $by));
    }

    /** @return array{x: float, y: float, width: float, height: float, radius: float} */
    public function toArray(): array
    {
        return [...$this->rect->toArray(), 'radius' => $this->radius];
    }
}
