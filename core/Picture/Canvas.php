<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Time\FrameRate;

/** The size and rate at which a show's program is made. */
final readonly class Canvas
{
    public function __construct(public Size $size, public FrameRate $rate)
    {
    }

    public static function usual(): self
    {
        return new self(new Size(1280, 720), new FrameRate(30));
    }

    /** @return array{width: float, height: float, rate: int} */
    public function toArray(): array
    {
        return [...$this->size->toArray(), 'rate' => $this->rate->perSecond];
    }
}
