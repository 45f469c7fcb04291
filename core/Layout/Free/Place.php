<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Free;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Geometry\View;
use Rhetorix\Core\Layout\Aspect;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Layout\Style;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** One window of a layout that was made by hand, with what only its editor needs to know. */
final readonly class Place
{
    /** Pixels that a side has at least. */
    public const LEAST_SIDE = 8.0;

    public const FIELDS = ['slot', 'purpose', 'x', 'y', 'width', 'height', 'aspect', 'fit', 'shape', 'radius', 'border', 'shadow', 'view', 'turn', 'hidden', 'locked'];

    /** @param  Window  $window  in pixels of the canvas that the layout was made for */
    public function __construct(
        public Window $window,
        public Aspect $aspect = Aspect::Free,
        public bool $hidden = false,
        public bool $locked = false,
    ) {
    }

    /** @throws BadInput naming the field by its path */
    public static function fromFields(Fields $fields, Size $canvas): self
    {
        $fields->only(self::FIELDS);
        $far = 4 * max($canvas->width, $canvas->height);
        $rect = new Rect($fields->number('x', -$far, $far), $fields->number('y', -$far, $far), $fields->number('width', self::LEAST_SIDE, $far), $fields->number('height', self::LEAST_SIDE, $far));

        return (new self(
            new Window(
                $fields->string('slot', 40),
                $rect,
                $fields->has('fit') ? $fields->oneOf('fit', Fit::class) : null,
                $fields->has('purpose') ? $fields->oneOf('purpose', Purpose::class) : null,
                Style::fromFields($fields),
                $fields->has('view') ? View::fromFields($fields->object('view')) : new View,
                $fields->has('turn') ? Orientation::from('r'.(90 * $fields->integer('turn', 0, 3))) : Orientation::Upright,
            ),
            $fields->has('aspect') ? $fields->oneOf('aspect', Aspect::class) : Aspect::Free,
            $fields->has('hidden') && $fields->boolean('hidden'),
            $fields->has('locked') && $fields->boolean('locked'),
        ))->mustBeOn($canvas, $fields->path());
    }

    /** @throws BadInput when next to nothing of it could be seen */
    public function mustBeOn(Size $canvas, string $path): self
    {
        $seen = $this->window->rect->intersection($canvas->asRect());
        if ($seen === null || min($seen->width, $seen->height) < self::LEAST_SIDE) {
            throw BadInput::outOfRange($path, 'on the canvas; move this window back so that some of it can be seen');
        }

        return $this;
    }

    /** Another outline: a circle is made square. */
    public function shaped(Shape $shape, Size $canvas): self
    {
        $window = $this->window;
        $rect = $shape === Shape::Circle ? self::within($window->rect, 1.0, $canvas) : $window->rect;
        $style = $window->style;
        $shaped = new Window($window->slot, $rect, $shape === Shape::Circle ? Fit::Cover : $window->fit, $window->purpose, new Style($shape, $style->radius, $style->border, $style->borderColour, $style->shadow, $style->shade), $window->view, $window->turn);

        return new self($shaped, $shape === Shape::Circle ? Aspect::Square : $this->aspect, $this->hidden, $this->locked);
    }

    /** Another proportion: as large as fits into what it had. */
    public function proportioned(Aspect $aspect, Size $canvas): self
    {
        $ratio = $aspect->ratio();

        return (new self($this->window, $aspect, $this->hidden, $this->locked))->at($ratio === null ? $this->window->rect : self::within($this->window->rect, $ratio, $canvas));
    }

    /** Width over height that it keeps; null: none. */
    public function ratio(): ?float
    {
        return $this->aspect === Aspect::Kept ? $this->window->rect->width / $this->window->rect->height : $this->aspect->ratio();
    }

    /** In the middle of what it had, unless it was at a side of the canvas: there it stays. */
    private static function within(Rect $rect, float $ratio, Size $canvas): Rect
    {
        $width = min($rect->width, $rect->height * $ratio);
        $height = $width / $ratio;
        $at = function (float $from, float $had, float $has, float $canvas): float {
            $middle = ($from + $had / 2) / $canvas;

            return round($middle < 1 / 3 ? $from : ($middle > 2 / 3 ? $from + $had - $has : $from + ($had - $has) / 2));
        };

        return new Rect($at($rect->x, $rect->width, $width, $canvas->width), $at($rect->y, $rect->height, $height, $canvas->height), $width, $height);
    }

    public function at(Rect $rect): self
    {
        $window = $this->window;

        return new self(new Window($window->slot, $rect, $window->fit, $window->purpose, $window->style, $window->view, $window->turn), $this->aspect, $this->hidden, $this->locked);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $window = $this->window;

        return [
            'slot' => $window->slot,
            'purpose' => $window->purpose->value,
            ...$window->rect->toArray(),
            'aspect' => $this->aspect->value,
            ...($window->fit === null ? [] : ['fit' => $window->fit->value]),
            ...$window->style->toArray(),
            'view' => $window->view->toArray(),
            'turn' => $window->turn->quarterTurns(),
            'hidden' => $this->hidden,
            'locked' => $this->locked,
        ];
    }
}
