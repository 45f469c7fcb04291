<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

/**
 * Decks that are turned together. They share one position, so that they can
 * never fall out of step; a deck that has fewer pages stays on its last one.
 */
final readonly class LinkedDecks
{
    /** @param  non-empty-array<string, int>  $pages  number of pages of each deck, by source id; each at least 1 */
    public function __construct(private array $pages)
    {
    }

    /** How far the longest of them goes. */
    public function last(): int
    {
        return max(1, ...array_values($this->pages));
    }

    /** The nearest position that there is. */
    public function position(int $wanted): int
    {
        return max(1, min($this->last(), $wanted));
    }

    /** The page that a deck shows at a position, counted from 1. */
    public function pageOf(string $deck, int $position): int
    {
        return max(1, min($this->pages[$deck] ?? 1, $this->position($position)));
    }

    /**
     * The page of a deck at every position, for screens that turn pages while the server is away.
     *
     * @return list<int>
     */
    public function pagesOf(string $deck): array
    {
        return array_map(fn (int $position): int => $this->pageOf($deck, $position), range(1, $this->last()));
    }
}
