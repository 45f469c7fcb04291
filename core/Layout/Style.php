<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Support\Fields;

/** How a window looks: its outline, border and shadow. */
final readonly class Style
{
    public const MOST_BORDER = 60.0;

    public const MOST_SHADOW = 120.0;

    /**
     * @param  float  $radius  of rounded corners, as a fraction of the window's shorter side, 0 to 0.5
     * @param  float  $border  pixels of the canvas that the layout was made for; the border lies inside the outline
     * @param  string  $borderColour  "#rrggbb"
     * @param  float  $shadow  pixels over which the shadow fades
     * @param  float  $shade  how dark the shadow is, 0 to 1
     */
    public function __construct(
        public Shape $shape = Shape::Rectangle,
        public float $radius = 0.12,
        public float $border = 0.0,
        public string $borderColour = '#fdfaf3',
        public float $shadow = 0.0,
        public float $shade = 0.5,
    ) {
    }

    public static function fromFields(Fields $fields): self
    {
        $usual = new self;
        $border = $fields->has('border') ? $fields->object('border')->only(['width', 'colour']) : null;
        $shadow = $fields->has('shadow') ? $fields->object('shadow')->only(['size', 'shade']) : null;

        return new self(
            $fields->has('shape') ? $fields->oneOf('shape', Shape::class) : $usual->shape,
            $fields->has('radius') ? $fields->number('radius', 0, 0.5) : $usual->radius,
            $border?->number('width', 0, self::MOST_BORDER) ?? $usual->border,
            $border?->colour('colour') ?? $usual->borderColour,
            $shadow?->number('size', 0, self::MOST_SHADOW) ?? $usual->shadow,
            $shadow?->number('shade', 0, 1) ?? $usual->shade,
        );
    }

    /** The same look on a canvas that is so many times as large. */
    public function scaled(float $scale): self
    {
        return new self($this->shape, $this->radius, $this->border * $scale, $this->borderColour, $this->shadow * $scale, $this->shade);
    }

    public function isPlain(): bool
    {
        return $this->shape === Shape::Rectangle && $this->border <= 0.0 && $this->shadow <= 0.0;
    }

    /** @return array{shape: string, radius: float, border: array{width: float, colour: string}, shadow: array{size: float, shade: float}} */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape->value,
            'radius' => $this->radius,
            'border' => ['width' => $this->border, 'colour' => $this->borderColour],
            'shadow' => ['size' => $this->shadow, 'shade' => $this->shade],
        ];
    }
}
