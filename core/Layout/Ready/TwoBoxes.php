<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** Two boxes of one shape, with room around them for words. */
final readonly class TwoBoxes extends Ready
{
    public static function name(): string
    {
        return 'two-boxes';
    }

    public static function label(): string
    {
        return 'Two boxes';
    }

    public static function parameters(): array
    {
        return [
            'shape' => Parameter::oneOf('Shape', ['16:9', '4:3', '1:1', '9:16']),
            'margin' => Parameter::share('Margin', 0.0, 0.2, 0.05),
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.04),
        ];
    }

    public function slots(): array
    {
        return ['first', 'second'];
    }

    public function windows(Size $canvas): array
    {
        [$width, $height] = array_map(intval(...), explode(':', $this->word('shape')));
        $inner = self::inner($canvas, $this->number('margin') * min($canvas->width, $canvas->height));
        [$first, $second] = self::row($inner, 2, $this->gap($canvas));

        return [
            new Window('first', self::centred($first, $width / $height), Fit::Cover),
            new Window('second', self::centred($second, $width / $height), Fit::Cover),
        ];
    }
}
