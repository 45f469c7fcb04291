<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\RoundedRect;

/** What a layer is cut to, and what is drawn around it. */
final readonly class Frame
{
    /**
     * @param  RoundedRect  $outline  canvas pixels; nothing is painted outside
     * @param  float  $border  pixels, inside the outline
     * @param  string  $borderColour  "#rrggbb"
     * @param  float  $shadow  pixels over which the shadow fades, as (1 - t)² of the way t; it is seen outside the outline alone, and falls a quarter of this lower
     * @param  float  $shade  0 to 1
     */
    public function __construct(
        public RoundedRect $outline,
        public float $border = 0.0,
        public string $borderColour = '#000000',
        public float $shadow = 0.0,
        public float $shade = 0.0,
    ) {
    }

    /** Only cuts. */
    public function bare(): self
    {
        return new self($this->outline);
    }

    /** @return array{outline: array<string, float>, border: float, border_colour: string, shadow: float, shade: float} */
    public function toArray(): array
    {
        return [
            'outline' => $this->outline->toArray(),
            'border' => $this->border,
            'border_colour' => $this->borderColour,
            'shadow' => $this->shadow,
            'shade' => $this->shade,
        ];
    }
}
