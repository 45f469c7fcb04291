<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** Two sources beside each other, split anywhere, with or without a gap. */
final readonly class SideBySide extends Ready
{
    public static function name(): string
    {
        return 'side-by-side';
    }

    public static function label(): string
    {
        return 'Side by side';
    }

    public static function parameters(): array
    {
        return [
            'split' => Parameter::share('Split', 0.2, 0.8, 0.5),
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.0),
        ];
    }

    public function slots(): array
    {
        return ['first', 'second'];
    }

    public function windows(Size $canvas): array
    {
        [$first, $second] = self::split($canvas->asRect(), $this->number('split'), $this->gap($canvas), $canvas->aspect() >= 1);

        return [new Window('first', $first, Fit::Cover), new Window('second', $second, Fit::Cover)];
    }
}
