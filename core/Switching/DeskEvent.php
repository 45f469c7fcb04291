<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Time\Instant;

/** Something that happened on the desk, for the as-run list. */
final readonly class DeskEvent
{
    /**
     * @param  string  $what  result of a rule, "choose" or "sound"
     * @param  ?string  $subject  id of the picture or source that it happened to
     */
    public function __construct(
        public Instant $at,
        public string $what,
        public ?string $subject,
        public ?string $detail = null,
    ) {
    }

    /** @return array{at: int, what: string, subject: ?string, detail: ?string} */
    public function toArray(): array
    {
        return ['at' => $this->at->ms, 'what' => $this->what, 'subject' => $this->subject, 'detail' => $this->detail];
    }
}
