<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Rig\Live\ClipEnd;
use Rhetorix\Core\Time\Milliseconds;

/** A clip or music: how long it is, where it begins, what happens at its end. */
final readonly class Clip
{
    /** @param  Milliseconds  $cue  where it begins when it is played anew */
    public function __construct(
        public Milliseconds $length,
        public Milliseconds $cue,
        public ClipEnd $end,
        public bool $soundOnly,
    ) {
    }

    /** @return array{length_ms: int, cue_ms: int, end: string, sound_only: bool} */
    public function toArray(): array
    {
        return ['length_ms' => $this->length->count, 'cue_ms' => $this->cue->count, 'end' => $this->end->value, 'sound_only' => $this->soundOnly];
    }
}
