<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/**
 * One moment of a transition: the outgoing picture is painted first, the
 * incoming over it, each as one flat image, then the colour of a dip; the
 * sounds of both are added.
 */
final readonly class Blend
{
    /**
     * What is not said by a track stays so: "target.property" => value.
     *
     * - opacity and gain of outgoing and incoming: 0 to 1
     * - x and y of both: how far they are from their place, in widths and heights of the canvas
     * - incoming.edge: how much of it a wipe shows, 0 to 1
     * - windows.way: how far windows are between the two pictures, 0 to 1
     * - colour.opacity: of a dip
     */
    public const REST = [
        'outgoing.opacity' => 1.0, 'incoming.opacity' => 1.0,
        'outgoing.gain' => 1.0, 'incoming.gain' => 1.0,
        'outgoing.x' => 0.0, 'outgoing.y' => 0.0, 'incoming.x' => 0.0, 'incoming.y' => 0.0,
        'incoming.edge' => null, 'windows.way' => null, 'colour.opacity' => 0.0,
    ];

    /** @param  array<string, ?float>  $values  all of REST */
    public function __construct(private array $values)
    {
    }

    public function of(string $name): float
    {
        return $this->values[$name] ?? 0.0;
    }

    /** @return array<string, ?float> */
    public function toArray(): array
    {
        return $this->values;
    }
}
