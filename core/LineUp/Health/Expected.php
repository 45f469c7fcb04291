<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

/** What a source ought to deliver. */
final readonly class Expected
{
    /**
     * @param  bool  $moving  looks at the world; a slide or a screen may stand still, and be dark or bright
     * @param  bool  $noisy  each frame has noise of its own; a picture that was coded for a thin line has lost it, and can stand still without being frozen
     * @param  ?float  $rate  frames a second that were asked for
     * @param  ?int  $width  pixels that were asked for; null: whatever comes
     */
    public function __construct(
        public bool $moving,
        public bool $noisy = true,
        public ?float $rate = null,
        public ?int $width = null,
        public ?int $height = null,
    ) {
    }
}
