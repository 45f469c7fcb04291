<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Free;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\SafeArea;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Aspect;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Rig\Source;

/** Where a window begins when somebody adds it to a layout: already where it is usually wanted. */
final class NewPlace
{
    /** Of the shorter side of the canvas. */
    private const PERSON = 0.34;

    private const CORNERS = [Corner::BottomRight, Corner::TopRight, Corner::BottomLeft, Corner::TopLeft];

    /** The layout with one window more: at the back for a background, else in front of all. */
    public static function in(FreeLayout $layout, Purpose $purpose, string $slot): FreeLayout
    {
        $canvas = $layout->canvas;
        $place = match ($purpose) {
            Purpose::Background, Purpose::Art => new Place(new Window($slot, $canvas->asRect(), $purpose === Purpose::Art ? Fit::Stretch : Fit::Cover, $purpose), locked: true),
            Purpose::Words => new Place(new Window($slot, self::words($canvas), purpose: $purpose)),
            Purpose::Person, Purpose::Guest => self::inCorner($layout, $purpose, $slot),
            default => $layout->fillsCanvas() ? self::inCorner($layout, $purpose, $slot) : new Place(new Window($slot, $canvas->asRect(), purpose: $purpose), Aspect::Kept),
        };
        $places = $purpose === Purpose::Background ? [$place, ...$layout->places] : [...$layout->places, $place];

        return new FreeLayout($canvas, $places, $layout->background);
    }

    /**
     * Which source most likely belongs there: the first of the right group that is not in the picture yet.
     *
     * @param  array<string, Source>  $sources  by id
     * @param  array<string, string>  $fills
     * @return ?string its id
     */
    public static function sourceFor(Purpose $purpose, array $sources, array $fills): ?string
    {
        $group = match ($purpose) {
            Purpose::Person, Purpose::Guest, Purpose::Room => Group::People,
            Purpose::Material => Group::Material,
            default => null,
        };
        $fitting = array_filter($sources, fn (Source $source): bool => $source->group === $group && $source->hasPicture() && ! in_array($source->id, $fills, true));

        return array_key_first($fitting);
    }

    /** A name bar's usual place: low, on the left, inside the area for words. */
    private static function words(Size $canvas): Rect
    {
        $safe = SafeArea::Title->in($canvas);
        [$width, $height] = [round(0.5 * $safe->width), round(0.16 * $safe->height)];

        return new Rect(round($safe->x), round($safe->bottom() - $height), $width, $height);
    }

    private static function inCorner(FreeLayout $layout, Purpose $purpose, string $slot): Place
    {
        $height = round(self::PERSON * min($layout->canvas->width, $layout->canvas->height));
        $size = new Size(round($height * 16 / 9), $height);
        $safe = SafeArea::Title->in($layout->canvas);
        $taken = array_filter($layout->places, fn (Place $place): bool => ! $place->hidden && $place->window->rect->area() < 0.5 * $layout->canvas->asRect()->area());
        $best = null;
        foreach (self::CORNERS as $corner) {
            $rect = new Rect(
                round($corner->isLeft() ? $safe->x : $safe->right() - $size->width),
                round($corner->isTop() ? $safe->y : $safe->bottom() - $size->height),
                $size->width,
                $size->height,
            );
            $meets = array_sum(array_map(fn (Place $place): float => $place->window->rect->intersection($rect)?->area() ?? 0.0, $taken));
            if ($best === null || $meets < $best[1]) {
                $best = [$rect, $meets];
            }
        }

        return new Place(new Window($slot, $best[0], Fit::Cover, $purpose), Aspect::Kept);
    }
}
