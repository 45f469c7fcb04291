<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Snap;

/** Where a window is held: its middle moves it, its edges and corners resize it. */
enum Hold: string
{
    case Middle = 'middle';
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Bottom = 'bottom';
    case TopLeft = 'top left';
    case TopRight = 'top right';
    case BottomLeft = 'bottom left';
    case BottomRight = 'bottom right';

    /** @return -1|0|1 which upright edge goes with the pointer: left, none, right */
    public function across(): int
    {
        return str_contains($this->value, 'left') ? -1 : (str_contains($this->value, 'right') ? 1 : 0);
    }

    /** @return -1|0|1 which level edge goes with the pointer: top, none, bottom */
    public function down(): int
    {
        return str_contains($this->value, 'top') ? -1 : (str_contains($this->value, 'bottom') ? 1 : 0);
    }
}
