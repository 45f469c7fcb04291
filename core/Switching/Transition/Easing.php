<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/** How a change gathers and loses speed. Source: W3C CSS Easing Functions Level 1, keywords. */
enum Easing: string
{
    case Linear = 'linear';
    case Ease = 'ease';
    case EaseIn = 'ease-in';
    case EaseOut = 'ease-out';
    case EaseInOut = 'ease-in-out';

    public function label(): string
    {
        return match ($this) {
            self::Linear => 'Even',
            self::Ease => 'Quick start, soft end',
            self::EaseIn => 'Soft start',
            self::EaseOut => 'Soft end',
            self::EaseInOut => 'Soft start and end',
        };
    }

    public function curve(): CubicBezier
    {
        return match ($this) {
            self::Linear => new CubicBezier(0.0, 0.0, 1.0, 1.0),
            self::Ease => new CubicBezier(0.25, 0.1, 0.25, 1.0),
            self::EaseIn => new CubicBezier(0.42, 0.0, 1.0, 1.0),
            self::EaseOut => new CubicBezier(0.0, 0.0, 0.58, 1.0),
            self::EaseInOut => new CubicBezier(0.42, 0.0, 0.58, 1.0),
        };
    }
}
