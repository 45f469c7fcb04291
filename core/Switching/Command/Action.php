<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

/** The live presses. */
enum Action: string
{
    /** Into preview. */
    case Arm = 'arm';

    /** On program at once; the old program waits in preview. */
    case Cut = 'cut';

    /** On program at once, past preview. */
    case Direct = 'direct';

    /** On program with a transition. */
    case Take = 'take';

    /** The holding picture replaces program, and the sound closes. */
    case Cover = 'cover';

    /** Back to what cover replaced. */
    case Uncover = 'uncover';

    /** A picture was deleted; only the show itself says this. */
    case Forget = 'forget';

    public function namesPicture(): bool
    {
        return ! in_array($this, [self::Cover, self::Uncover], true);
    }
}
