<?php

namespace App\Shows;

use App\LineUp\SignalDesk;
use App\Models\DeskRow;
use App\Models\Show;
use Rhetorix\Core\Time\Instant;

/** All that a screen needs to begin, or to begin again. */
final readonly class ShowState
{
    public function __construct(private ShowBook $books, private SignalDesk $signals)
    {
    }

    /** @return array<string, mixed> an update, with the plan book */
    public function of(Show $show): array
    {
        $row = DeskRow::query()->findOrFail($show->id);
        $desk = $row->toDesk();
        $book = $this->books->at($show, $row->book_revision)->handled($desk->handlings);
        $now = $row->notBefore(new Instant((int) now()->getTimestampMs()));

        return [...Update::of($desk, $book, $row->revision, $now, null), 'book' => $this->books->page($show, $book), 'signals' => $this->signals->findings($show), 'quality' => $this->signals->quality($show)];
    }
}
