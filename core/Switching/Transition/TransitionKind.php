<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/** Transitions that take time. A cut takes none and is a command of its own. */
enum TransitionKind: string
{
    case Mix = 'mix';

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
