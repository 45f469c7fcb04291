<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Support\Fields;

/**
 * A source on the whole canvas and a second one in a corner over it. The
 * inset has the proportions of the canvas, or is a circle as high; a source
 * of another shape covers it and keeps its own aspect.
 */
final readonly class InsetLayout implements Layout
{
    public const NAME = 'inset';

    /**
     * @param  float  $size  width of the inset as a fraction of the canvas width, 0.1 to 0.6
     * @param  float  $margin  distance to both edges as a fraction of the canvas's shorter side, 0 to 0.2
     *
     * @throws BadLayout when a parameter is out of range
     */
    public function __construct(
        public Corner $corner,
        public float $size = 0.28,
        public float $margin = 0.04,
        public Shape $shape = Shape::Rectangle,
    ) {
        if (! ($size >= 0.1 && $size <= 0.6)) {
            throw BadLayout::insetSize();
        }
        if (! ($margin >= 0.0 && $margin <= 0.2)) {
            throw BadLayout::margin();
        }
    }

    public static function fromFields(Fields $fields): self
    {
        $fields->only(['layout', 'corner', 'size', 'margin', 'shape']);

        return new self(
            $fields->oneOf('corner', Corner::class),
            $fields->number('size', 0, 1),
            $fields->has('margin') ? $fields->number('margin', 0, 1) : 0.04,
            $fields->has('shape') ? $fields->oneOf('shape', Shape::class) : Shape::Rectangle,
        );
    }

    public function windows(Size $canvas): array
    {
        $width = $this->size * $canvas->width;
        $height = $this->size * $canvas->height;
        if ($this->shape === Shape::Circle) {
            $width = $height = min($width, $height);
        }
        $margin = $this->margin * min($canvas->width, $canvas->height);

        $inset = new Rect(
            $this->corner->isLeft() ? $margin : $canvas->width - $margin - $width,
            $this->corner->isTop() ? $margin : $canvas->height - $margin - $height,
            $width,
            $height,
        );

        return [new Window('large', $canvas->asRect()), new Window('inset', $inset, Fit::Cover, style: new Style($this->shape))];
    }

    public function slots(): array
    {
        return ['large', 'inset'];
    }

    public function background(): ?string
    {
        return null;
    }

    public function toArray(): array
    {
        return ['layout' => self::NAME, 'corner' => $this->corner->value, 'size' => $this->size, 'margin' => $this->margin, 'shape' => $this->shape->value];
    }
}
