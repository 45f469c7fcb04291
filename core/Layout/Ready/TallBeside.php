<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** An upright source, such as a phone, beside a wide one; nothing of either is cut. */
final readonly class TallBeside extends Ready
{
    public static function name(): string
    {
        return 'tall-beside';
    }

    public static function label(): string
    {
        return 'Upright beside wide';
    }

    public static function parameters(): array
    {
        return [
            'side' => Parameter::oneOf('Upright one', ['right', 'left']),
            'margin' => Parameter::share('Margin', 0.0, 0.1, 0.03),
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.03),
        ];
    }

    public function slots(): array
    {
        return ['wide', 'tall'];
    }

    public function windows(Size $canvas): array
    {
        $inner = self::inner($canvas, $this->number('margin') * min($canvas->width, $canvas->height));
        $beside = $canvas->aspect() >= 1;
        // On a wide canvas it is as tall as there is room; on a tall one it takes three fifths of it.
        $share = $beside ? min(0.5, $inner->height * 9 / 16 / ($inner->width - $this->gap($canvas))) : 0.6;
        $right = $this->word('side') === 'right';
        $parts = self::split($inner, $right ? 1 - $share : $share, $this->gap($canvas), $beside);
        [$wide, $tall] = $right ? $parts : [$parts[1], $parts[0]];

        return [new Window('wide', $wide, Fit::Contain), new Window('tall', self::centred($tall, 9 / 16), Fit::Cover)];
    }
}
