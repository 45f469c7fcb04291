<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

/** The pages of a presentation. */
final readonly class Deck
{
    /**
     * @param  string  $group  decks of the same group are turned together
     * @param  int  $pages  how many it has, at least 1
     */
    public function __construct(public string $group, public int $pages)
    {
    }
}
