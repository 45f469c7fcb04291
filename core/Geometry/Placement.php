<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/** Where a source lands on the canvas, and which part of it. */
final readonly class Placement
{
    public function __construct(public Rect $dest, public Crop $crop)
    {
    }
}
