<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Snap;

/** A line that a window comes to rest at while it is moved. */
final readonly class Target
{
    /**
     * @param  float  $at  canvas pixels: x of an upright line, y of a level one
     * @param  list<'start'|'centre'|'end'>  $takes  which of the window's own lines come to rest here; start is left or top
     * @param  string  $why  for the guide that is shown: "edge", "centre", "third", "safe", "window", "gap"
     * @param  float  $from  where the guide begins along the line
     */
    public function __construct(public float $at, public array $takes, public string $why, public float $from, public float $to)
    {
    }

    /** @return array{at: float, takes: list<string>, why: string, from: float, to: float} */
    public function toArray(): array
    {
        return ['at' => $this->at, 'takes' => $this->takes, 'why' => $this->why, 'from' => $this->from, 'to' => $this->to];
    }
}
