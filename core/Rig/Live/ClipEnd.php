<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

/** What happens when a clip has run to its end. */
enum ClipEnd: string
{
    /** Its last frame stays. */
    case Hold = 'hold';

    /** It begins again. */
    case Loop = 'loop';

    /** If it is on program, what is next is taken. */
    case Next = 'next';

    public function label(): string
    {
        return match ($this) {
            self::Hold => 'hold the last frame',
            self::Loop => 'begin again',
            self::Next => 'take what is next',
        };
    }
}
