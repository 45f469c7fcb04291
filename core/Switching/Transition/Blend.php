<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/**
 * One moment of a transition: the outgoing picture is painted first, the
 * incoming over it, each as one flat image with this opacity; their sounds
 * are added with these gains. All between 0 and 1.
 */
final readonly class Blend
{
    public function __construct(
        public float $outgoingOpacity,
        public float $incomingOpacity,
        public float $outgoingGain,
        public float $incomingGain,
    ) {
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return [
            'outgoing.opacity' => $this->outgoingOpacity,
            'incoming.opacity' => $this->incomingOpacity,
            'outgoing.gain' => $this->outgoingGain,
            'incoming.gain' => $this->incomingGain,
        ];
    }
}
