<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Size;

/** The shape of a show's program: chosen once, since every picture is laid out on it. */
enum CanvasShape: string
{
    case Wide = '16:9';
    case Classic = '4:3';
    case Square = '1:1';
    case Upright = '9:16';

    public function label(): string
    {
        return match ($this) {
            self::Wide => 'Wide, 16:9 (screens, meetings)',
            self::Classic => 'Classic, 4:3 (older projectors)',
            self::Square => 'Square, 1:1',
            self::Upright => 'Upright, 9:16 (phones)',
        };
    }

    /** Pixels: the shorter side is 720 of them, whatever the shape. */
    public function size(): Size
    {
        return match ($this) {
            self::Wide => new Size(1280, 720),
            self::Classic => new Size(960, 720),
            self::Square => new Size(720, 720),
            self::Upright => new Size(720, 1280),
        };
    }
}
