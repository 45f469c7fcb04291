<?php

namespace App\Shows;

use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\DeskEvent;

/** What one command did to a show. */
final readonly class Change
{
    /**
     * @param  list<DeskEvent>  $events
     * @param  array<string, mixed>  $pages  pages of the book that look different now, while the rest of it is the same
     * @param  ?array<mixed>  $deskCommand  what Replay has to apply to get the same desk
     */
    public function __construct(
        public Desk $desk,
        public PlanBook $book,
        public array $events,
        public ?array $deskCommand,
        public bool $bookChanged,
        public array $pages = [],
    ) {
    }
}
