<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/**
 * How a source fills a window of another shape. The centre of the source
 * stays in the centre of the window.
 *
 * Source: W3C CSS Images Module Level 3, `object-fit` (contain, cover, fill)
 * with `object-position: 50% 50%`.
 */
enum Fit: string
{
    /** All of the source is seen; the window may keep free edges. */
    case Contain = 'contain';

    /** All of the window is filled; the source may lose edges. */
    case Cover = 'cover';

    /** All of both; the source may be distorted. */
    case Stretch = 'stretch';

    /**
     * @param  View  $view  enlarges the picture inside its window, and moves it there
     */
    public function place(Size $source, Rect $window, View $view = new View): Placement
    {
        if ($window->isEmpty()) {
            return new Placement($window, Crop::whole());
        }
        [$across, $down] = [$window->width / $source->width, $window->height / $source->height];
        [$across, $down] = match ($this) {
            self::Stretch => [$across, $down],
            self::Contain => [min($across, $down), min($across, $down)],
            self::Cover => [max($across, $down), max($across, $down)],
        };
        [$x, $width, $left, $part] = self::along($window->x, $window->width, $source->width * $across * $view->zoom, $view->x);
        [$y, $height, $top, $share] = self::along($window->y, $window->height, $source->height * $down * $view->zoom, $view->y);

        return new Placement(new Rect($x, $y, $width, $height), new Crop($left, $top, $part, $share));
    }

    /**
     * One axis: the picture is as long as it is painted; where it is longer
     * than its window, a part is seen, else it lies in the middle.
     *
     * @return array{float, float, float, float} place, length, first part, share
     */
    private static function along(float $place, float $window, float $painted, float $middle): array
    {
        if ($painted <= $window * (1 + 1e-12)) {
            return [$place + ($window - $painted) / 2, $painted, 0.0, 1.0];
        }
        $share = $window / $painted;

        return [$place, $window, max(0.0, min(1 - $share, $middle - $share / 2)), $share];
    }
}
