<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\View;

/**
 * A place on the canvas that shows a source.
 */
final readonly class Window
{
    public Purpose $purpose;

    /**
     * @param  string  $slot  what the layout calls this place: "large", "inset"
     * @param  Rect  $rect  canvas pixels
     * @param  ?Fit  $fit  null: as suits the source alone
     * @param  ?Purpose  $purpose  null: as the name of the slot says
     * @param  Orientation  $turn  on top of how the source itself stands
     */
    public function __construct(
        public string $slot,
        public Rect $rect,
        public ?Fit $fit = null,
        ?Purpose $purpose = null,
        public Style $style = new Style,
        public View $view = new View,
        public Orientation $turn = Orientation::Upright,
    ) {
        $this->purpose = $purpose ?? Purpose::usualFor($slot);
    }

    public function outline(): RoundedRect
    {
        return $this->style->shape->outline($this->rect, $this->style->radius);
    }

    /** Another thing at the same place and with the same look. */
    public function named(string $slot, ?Fit $fit): self
    {
        return new self($slot, $this->rect, $fit, $this->purpose, $this->style);
    }
}
