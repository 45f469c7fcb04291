<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;

/** The outline of a window. */
enum Shape: string
{
    case Rectangle = 'rectangle';
    case Rounded = 'rounded';

    /** The largest circle in the middle of the window. */
    case Circle = 'circle';

    /** @param  float  $radius  of rounded corners, as a fraction of the shorter side, 0 to 0.5 */
    public function outline(Rect $window, float $radius): RoundedRect
    {
        $side = min($window->width, $window->height);

        return match ($this) {
            self::Rectangle => new RoundedRect($window),
            self::Rounded => new RoundedRect($window, $radius * $side),
            self::Circle => new RoundedRect(new Rect($window->x + ($window->width - $side) / 2, $window->y + ($window->height - $side) / 2, $side, $side), $side / 2),
        };
    }

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
