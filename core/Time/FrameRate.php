<?php

declare(strict_types=1);

namespace Rhetorix\Core\Time;

use Rhetorix\Core\Support\Refusal;

/** Pictures a second, as a whole number: 25, 30, 50, 60. */
final readonly class FrameRate
{
    public function __construct(public int $perSecond)
    {
        if ($perSecond < 1 || $perSecond > 120) {
            throw new Refusal('A frame rate must be between 1 and 120 pictures a second.');
        }
    }

    /** The time that so many frames take, to the nearest millisecond. */
    public function lengthOf(int $frames): Milliseconds
    {
        return new Milliseconds((int) round($frames * 1000 / $this->perSecond));
    }

    /** Whole frames in a length of time, to the nearest frame. */
    public function framesIn(Milliseconds $length): int
    {
        return (int) round($length->count * $this->perSecond / 1000);
    }
}
