<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;

/**
 * A place on the canvas that shows a source.
 */
final readonly class Window
{
    /**
     * @param  string  $slot  what the layout calls this place: "large", "inset"
     * @param  Rect  $rect  canvas pixels
     * @param  ?Fit  $fit  null: as suits the source alone
     */
    public function __construct(
        public string $slot,
        public Rect $rect,
        public ?Fit $fit = null,
    ) {
    }
}
