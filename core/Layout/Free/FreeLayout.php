<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Free;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * A layout that somebody made by hand, for a canvas of one size. On a canvas
 * of another size every window keeps its share of the width and height.
 */
final readonly class FreeLayout implements Layout
{
    public const NAME = 'free';

    public const MOST_WINDOWS = 24;

    private const LARGEST_SIDE = 8192;

    /**
     * @param  Size  $canvas  that it was made for
     * @param  list<Place>  $places  back to front
     * @param  string  $background  "#rrggbb"
     *
     * @throws BadInput when there are too many windows, or two with the same slot
     */
    public function __construct(public Size $canvas, public array $places, public string $background = Composer::BACKGROUND)
    {
        if (count($places) > self::MOST_WINDOWS) {
            throw BadInput::outOfRange('layout.windows', 'a list of at most '.self::MOST_WINDOWS.' windows; delete one that is not needed');
        }
        $slots = array_map(fn (Place $place): string => $place->window->slot, $places);
        foreach (array_count_values($slots) as $slot => $count) {
            if ($count > 1) {
                throw BadInput::wrongKind('layout.windows', "windows with a slot of their own; “{$slot}” is there {$count} times");
            }
        }
    }

    /** @throws BadInput naming the field by its path */
    public static function fromFields(Fields $fields): self
    {
        $fields->only(['layout', 'canvas', 'background', 'windows']);
        $canvas = $fields->object('canvas')->only(['width', 'height']);
        $size = new Size($canvas->number('width', 16, self::LARGEST_SIDE), $canvas->number('height', 16, self::LARGEST_SIDE));

        return new self(
            $size,
            array_map(fn (Fields $place): Place => Place::fromFields($place, $size), $fields->each('windows', self::MOST_WINDOWS, 'windows')),
            $fields->has('background') ? $fields->colour('background') : Composer::BACKGROUND,
        );
    }

    /** Any layout, as it is on this canvas, to go on with by hand. */
    public static function of(Layout $layout, Size $canvas): self
    {
        return $layout instanceof self && $layout->canvas == $canvas ? $layout : new self(
            $canvas,
            $layout instanceof self
                ? array_map(fn (Place $place): Place => new Place($layout->scaled($place->window, $canvas), $place->aspect, $place->hidden, $place->locked), $layout->places)
                : array_map(fn (Window $window): Place => new Place($window), $layout->windows($canvas)),
            $layout->background() ?? Composer::BACKGROUND,
        );
    }

    public function windows(Size $canvas): array
    {
        $shown = array_filter($this->places, fn (Place $place): bool => ! $place->hidden);

        return array_values(array_map(fn (Place $place): Window => $this->scaled($place->window, $canvas), $shown));
    }

    public function slots(): array
    {
        $filled = array_filter($this->places, fn (Place $place): bool => $place->window->purpose->canBeFilled());

        return array_values(array_map(fn (Place $place): string => $place->window->slot, $filled));
    }

    public function background(): string
    {
        return $this->background;
    }

    /**
     * The same layout with some windows at other places.
     *
     * @param  array<string, Rect>  $rects  by slot
     *
     * @throws BadInput when one would leave the canvas
     */
    public function moved(array $rects): self
    {
        $places = array_map(fn (Place $place): Place => isset($rects[$place->window->slot]) ? $place->at($rects[$place->window->slot])->mustBeOn($this->canvas, $place->window->slot) : $place, $this->places);

        return new self($this->canvas, $places, $this->background);
    }

    /** Whether one window already lies over the whole canvas. */
    public function fillsCanvas(): bool
    {
        return array_filter($this->places, fn (Place $place): bool => ! $place->hidden && $place->window->purpose->showsWhileEmpty() && $place->window->rect == $this->canvas->asRect()) !== [];
    }

    public function place(string $slot): ?Place
    {
        foreach ($this->places as $place) {
            if ($place->window->slot === $slot) {
                return $place;
            }
        }

        return null;
    }

    /** The same layout with another place instead of the one of the same slot. */
    public function with(Place $changed): self
    {
        return new self($this->canvas, array_map(fn (Place $place): Place => $place->window->slot === $changed->window->slot ? $changed : $place, $this->places), $this->background);
    }

    public function toArray(): array
    {
        return [
            'layout' => self::NAME,
            'canvas' => $this->canvas->toArray(),
            'background' => $this->background,
            'windows' => array_map(fn (Place $place): array => $place->toArray(), $this->places),
        ];
    }

    private function scaled(Window $window, Size $canvas): Window
    {
        [$across, $down] = [$canvas->width / $this->canvas->width, $canvas->height / $this->canvas->height];
        $rect = new Rect($window->rect->x * $across, $window->rect->y * $down, $window->rect->width * $across, $window->rect->height * $down);

        return $canvas == $this->canvas ? $window : new Window($window->slot, $rect, $window->fit, $window->purpose, $window->style->scaled(min($across, $down)), $window->view, $window->turn);
    }
}
