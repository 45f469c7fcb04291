<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

use Rhetorix\Core\Support\Refusal;

final class BadGeometry extends Refusal
{
    public static function emptySize(float $width, float $height): self
    {
        return new self("A picture of {$width} by {$height} pixels has no area. Width and height must both be above zero.");
    }

    public static function negativeRect(float $width, float $height): self
    {
        return new self("A window of {$width} by {$height} pixels cannot be placed. Its width and height may not be below zero.");
    }

    public static function cropOutside(): self
    {
        return new self('A crop must lie inside its source and leave some of it: fractions between 0 and 1.');
    }
}
