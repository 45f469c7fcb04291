<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

/** A line of writing that was found in a picture. */
final readonly class Writing
{
    /**
     * @param  float  $xHeight  height of the small letters without strokes up or down, in pixels of the picture
     */
    public function __construct(public int $x, public int $y, public int $width, public int $height, public float $xHeight)
    {
    }

    /** @return array{x: int, y: int, width: int, height: int, x_height: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height, 'x_height' => round($this->xHeight, 1)];
    }
}
