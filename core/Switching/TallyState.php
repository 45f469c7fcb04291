<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

enum TallyState: string
{
    case Program = 'program';
    case Preview = 'preview';
    case Off = 'off';
}
