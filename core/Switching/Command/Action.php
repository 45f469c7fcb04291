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

    /** The transition that runs goes back to where it came from. */
    case Back = 'back';

    /** The fader stands somewhere between its ends. */
    case Fade = 'fade';

    /** The hand leaves the fader. */
    case LetGo = 'let-go';

    /** What was next before the last arming is next again. */
    case Unarm = 'unarm';

    /** The inset over program: off, over, full. */
    case Inset = 'inset';

    /** Whom the inset shows. */
    case InsetSource = 'inset.source';

    /** Where the inset lies and how wide it is. */
    case InsetPlace = 'inset.place';

    /** The holding picture replaces program, and the sound closes. */
    case Cover = 'cover';

    /** Back to what cover replaced. */
    case Uncover = 'uncover';

    /** A picture was deleted; only the show itself says this. */
    case Forget = 'forget';

    public function namesPicture(): bool
    {
        return in_array($this, [self::Arm, self::Cut, self::Direct, self::Take, self::Fade, self::Forget], true);
    }
}
