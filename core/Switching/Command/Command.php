<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

/** Something that somebody wants of the desk, with an id made by who asks. */
interface Command
{
    public function id(): string;
}
