<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

/** When the sound of a source is in the main mix. */
enum Hearing: string
{
    /** As long as its strip is open: microphones. */
    case Always = 'always';

    /** While its picture is seen on program: sound follows the picture. */
    case WithPicture = 'with-picture';

    case Never = 'never';
}
