<?php

namespace App\Shows\Edits;

use Rhetorix\Core\Switching\DeskEvent;
use Rhetorix\Core\Time\Instant;

final readonly class EditResult
{
    /**
     * @param  string  $what  for the as-run list
     * @param  list<string>  $forgets  ids of pictures that are gone, so that the desk lets go of them
     */
    public function __construct(
        public string $what,
        public string $subject,
        public ?string $detail = null,
        public array $forgets = [],
    ) {
    }

    /** @return list<DeskEvent> */
    public function events(Instant $at): array
    {
        return [new DeskEvent($at, $this->what, $this->subject, $this->detail)];
    }
}
