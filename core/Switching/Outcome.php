<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

/** The desk after a command, and what happened on the way. */
final readonly class Outcome
{
    /** @param  list<DeskEvent>  $events in order of time */
    public function __construct(public Desk $desk, public array $events)
    {
    }
}
