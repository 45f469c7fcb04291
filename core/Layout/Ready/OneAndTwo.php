<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** One large source and two small ones beside it. */
final readonly class OneAndTwo extends Ready
{
    public static function name(): string
    {
        return 'one-and-two';
    }

    public static function label(): string
    {
        return 'One large, two small';
    }

    public static function parameters(): array
    {
        return [
            'side' => Parameter::oneOf('Small ones', ['right', 'left']),
            'share' => Parameter::share('Large one', 0.5, 0.8, 0.68),
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.0),
        ];
    }

    public function slots(): array
    {
        return ['large', 'second', 'third'];
    }

    public function windows(Size $canvas): array
    {
        $wide = $canvas->aspect() >= 1;
        $after = $this->word('side') === 'right';
        $share = $this->number('share');
        $parts = self::split($canvas->asRect(), $after ? $share : 1 - $share, $this->gap($canvas), $wide);
        [$large, $small] = $after ? $parts : [$parts[1], $parts[0]];
        [$second, $third] = self::row($small, 2, $this->gap($canvas), ! $wide);

        return [new Window('large', $large, Fit::Cover), new Window('second', $second, Fit::Cover), new Window('third', $third, Fit::Cover)];
    }
}
