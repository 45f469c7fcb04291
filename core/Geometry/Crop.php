<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

use Rhetorix\Core\Support\Fields;

/**
 * The part of a source that is used, in fractions of the source's width and
 * height: 0 is its left or top edge, 1 its right or bottom edge.
 */
final readonly class Crop
{
    private const ROUNDING = 1e-9;

    /** @throws BadGeometry when the crop leaves the source or has no area */
    public function __construct(
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
        $inside = $x >= -self::ROUNDING && $y >= -self::ROUNDING
            && $x + $width <= 1 + self::ROUNDING && $y + $height <= 1 + self::ROUNDING;
        if (! $inside || $width <= 0 || $height <= 0) {
            throw BadGeometry::cropOutside();
        }
    }

    public static function whole(): self
    {
        return new self(0.0, 0.0, 1.0, 1.0);
    }

    /** @throws BadGeometry when the crop leaves the source or has no area */
    public static function fromFields(Fields $fields): self
    {
        return new self($fields->number('x', 0, 1), $fields->number('y', 0, 1), $fields->number('width', 0, 1), $fields->number('height', 0, 1));
    }

    /**
     * What is left when something is cut off each edge.
     *
     * @param  Fields  $fields  {left, top, right, bottom}: fractions of the width and height
     *
     * @throws BadGeometry when nothing is left
     */
    public static function cutting(Fields $fields): self
    {
        [$left, $top] = [$fields->number('left', 0, 1), $fields->number('top', 0, 1)];

        return new self($left, $top, 1 - $left - $fields->number('right', 0, 1), 1 - $top - $fields->number('bottom', 0, 1));
    }

    public function isWhole(): bool
    {
        return $this == self::whole();
    }

    /** A part of this part: fractions of the crop become fractions of the source. */
    public function part(self $inner): self
    {
        return new self(
            $this->x + $inner->x * $this->width,
            $this->y + $inner->y * $this->height,
            $inner->width * $this->width,
            $inner->height * $this->height,
        );
    }

    /** The crop in pixels of a source of this size. */
    public function inPixels(Size $source): Rect
    {
        return new Rect(
            $this->x * $source->width,
            $this->y * $source->height,
            $this->width * $source->width,
            $this->height * $source->height,
        );
    }

    /** @return array{x: float, y: float, width: float, height: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height];
    }
}
