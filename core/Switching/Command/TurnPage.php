<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

/** Linked decks go to a position together: the page, counted from 1, of the longest of them. */
final readonly class TurnPage implements Command
{
    public const NAME = 'page';

    /** @param  string  $group  id of the group of linked decks */
    public function __construct(private string $id, public string $group, public int $position)
    {
    }

    public function id(): string
    {
        return $this->id;
    }
}
