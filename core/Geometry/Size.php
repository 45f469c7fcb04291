<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/** Width and height in pixels, both above zero. */
final readonly class Size
{
    /** @throws BadGeometry when either side is not above zero */
    public function __construct(public float $width, public float $height)
    {
        if (! ($width > 0 && $height > 0) || is_infinite($width) || is_infinite($height)) {
            throw BadGeometry::emptySize($width, $height);
        }
    }

    /** Width over height: 16:9 is 1.777… */
    public function aspect(): float
    {
        return $this->width / $this->height;
    }

    /** The rectangle of this size at the origin. */
    public function asRect(): Rect
    {
        return new Rect(0.0, 0.0, $this->width, $this->height);
    }

    /** @return array{width: float, height: float} */
    public function toArray(): array
    {
        return ['width' => $this->width, 'height' => $this->height];
    }
}
