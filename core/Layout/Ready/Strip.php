<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** The material large, and a strip of people who fill it, however many there are. */
final readonly class Strip extends Ready
{
    public static function name(): string
    {
        return 'strip';
    }

    public static function label(): string
    {
        return 'Large with a strip of people';
    }

    public static function parameters(): array
    {
        return [
            'people' => Parameter::count('People', 1, 6, 3),
            'side' => Parameter::oneOf('Strip', ['right', 'left']),
            'share' => Parameter::share('Size of the strip', 0.12, 0.4, 0.22),
            'gap' => Parameter::share('Gap', 0.0, 0.1, 0.01),
        ];
    }

    public function slots(): array
    {
        return ['large', ...array_map(fn (int $i): string => "person {$i}", range(1, (int) $this->number('people')))];
    }

    public function windows(Size $canvas): array
    {
        $wide = $canvas->aspect() >= 1;
        $after = $this->word('side') === 'right';
        $share = $this->number('share');
        $parts = self::split($canvas->asRect(), $after ? 1 - $share : $share, $this->gap($canvas), $wide);
        [$large, $strip] = $after ? $parts : [$parts[1], $parts[0]];
        $boxes = self::row($strip, count($this->slots()) - 1, $this->gap($canvas), ! $wide);

        return array_map(
            fn (string $slot, Rect $box): Window => new Window($slot, $box, $slot === 'large' ? Fit::Contain : Fit::Cover),
            $this->slots(),
            [$large, ...$boxes],
        );
    }
}
