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

    public function place(Size $source, Rect $window): Placement
    {
        if ($window->isEmpty()) {
            return new Placement($window, Crop::whole());
        }

        return match ($this) {
            self::Stretch => new Placement($window, Crop::whole()),
            self::Contain => new Placement(self::contained($source, $window), Crop::whole()),
            self::Cover => new Placement($window, self::covering($source, $window)),
        };
    }

    private static function contained(Size $source, Rect $window): Rect
    {
        $scale = min($window->width / $source->width, $window->height / $source->height);
        $width = $source->width * $scale;
        $height = $source->height * $scale;

        return new Rect(
            $window->x + ($window->width - $width) / 2,
            $window->y + ($window->height - $height) / 2,
            $width,
            $height,
        );
    }

    private static function covering(Size $source, Rect $window): Crop
    {
        $scale = max($window->width / $source->width, $window->height / $source->height);
        $width = min(1.0, $window->width / ($source->width * $scale));
        $height = min(1.0, $window->height / ($source->height * $scale));

        return new Crop((1 - $width) / 2, (1 - $height) / 2, $width, $height);
    }
}
