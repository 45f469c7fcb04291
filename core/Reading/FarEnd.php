<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

/** How large program arrives where it is looked at. Common practice, no published source. */
enum FarEnd: string
{
    case Phone = 'phone';
    case Window = 'window';
    case Half = 'half';
    case Screen = 'screen';

    public function label(): string
    {
        return match ($this) {
            self::Phone => 'a phone held upright',
            self::Window => 'a meeting window beside other things',
            self::Half => 'most of a laptop screen',
            self::Screen => 'a whole screen',
        };
    }

    /** Pixels. */
    public function width(): int
    {
        return match ($this) {
            self::Phone => 390,
            self::Window => 640,
            self::Half => 960,
            self::Screen => 1280,
        };
    }
}
