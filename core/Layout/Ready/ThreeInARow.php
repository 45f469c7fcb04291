<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** Three sources of equal size. */
final readonly class ThreeInARow extends Ready
{
    public static function name(): string
    {
        return 'three-in-a-row';
    }

    public static function label(): string
    {
        return 'Three in a row';
    }

    public static function parameters(): array
    {
        return [
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.01),
        ];
    }

    public function slots(): array
    {
        return ['first', 'second', 'third'];
    }

    public function windows(Size $canvas): array
    {
        $boxes = self::row($canvas->asRect(), 3, $this->gap($canvas));

        return array_map(fn (string $slot, Rect $box): Window => new Window($slot, $box, Fit::Cover), $this->slots(), $boxes);
    }
}
