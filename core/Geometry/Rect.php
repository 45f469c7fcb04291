<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/**
 * A rectangle in pixels, origin at the top left, y downwards. It may lie
 * partly outside its canvas; its sides are never negative.
 */
final readonly class Rect
{
    /** @throws BadGeometry when a side is negative */
    public function __construct(
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
        if ($width < 0 || $height < 0) {
            throw BadGeometry::negativeRect($width, $height);
        }
    }

    public function right(): float
    {
        return $this->x + $this->width;
    }

    public function bottom(): float
    {
        return $this->y + $this->height;
    }

    /** Square pixels. */
    public function area(): float
    {
        return $this->width * $this->height;
    }

    public function isEmpty(): bool
    {
        return $this->area() <= 0.0;
    }

    /** The part that both cover, or null where they only touch or lie apart. */
    public function intersection(self $other): ?self
    {
        $left = max($this->x, $other->x);
        $top = max($this->y, $other->y);
        $right = min($this->right(), $other->right());
        $bottom = min($this->bottom(), $other->bottom());

        return $right > $left && $bottom > $top
            ? new self($left, $top, $right - $left, $bottom - $top)
            : null;
    }

    /**
     * What is left of this rectangle when another is cut out of it: up to four
     * rectangles that do not overlap.
     *
     * @return list<self>
     */
    public function without(self $hole): array
    {
        $common = $this->intersection($hole);
        if ($common === null) {
            return [$this];
        }

        $rest = [
            new self($this->x, $this->y, $this->width, $common->y - $this->y),
            new self($this->x, $common->bottom(), $this->width, $this->bottom() - $common->bottom()),
            new self($this->x, $common->y, $common->x - $this->x, $common->height),
            new self($common->right(), $common->y, $this->right() - $common->right(), $common->height),
        ];

        return array_values(array_filter($rest, fn (self $piece): bool => ! $piece->isEmpty()));
    }

    /** @return array{x: float, y: float, width: float, height: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height];
    }
}
