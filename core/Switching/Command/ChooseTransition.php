<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Switching\Transition\Transition;

/** The transition that a take uses from now on. */
final readonly class ChooseTransition implements Command
{
    public const NAME = 'choose';

    public function __construct(private string $id, public Transition $transition)
    {
    }

    public function id(): string
    {
        return $this->id;
    }
}
