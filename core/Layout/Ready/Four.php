<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** Four sources of equal size. */
final readonly class Four extends Ready
{
    public static function name(): string
    {
        return 'four';
    }

    public static function label(): string
    {
        return 'Four';
    }

    public static function parameters(): array
    {
        return [
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.01),
        ];
    }

    public function slots(): array
    {
        return ['first', 'second', 'third', 'fourth'];
    }

    public function windows(Size $canvas): array
    {
        $rows = self::row($canvas->asRect(), 2, $this->gap($canvas), false);
        $boxes = [...self::row($rows[0], 2, $this->gap($canvas), true), ...self::row($rows[1], 2, $this->gap($canvas), true)];

        return array_map(fn (string $slot, Rect $box): Window => new Window($slot, $box, Fit::Cover), $this->slots(), $boxes);
    }
}
