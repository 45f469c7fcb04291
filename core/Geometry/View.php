<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

use Rhetorix\Core\Support\Fields;

/**
 * How a picture lies inside its window: how much it is enlarged there, and
 * which point of it is in the middle, as far as its edges allow. It is of the
 * window alone; the framing of the source stays as it is.
 */
final readonly class View
{
    public const MOST_ZOOM = 8.0;

    /**
     * @param  float  $zoom  1 to 8
     * @param  float  $x  middle, as a fraction of what is seen of the source, 0 to 1
     */
    public function __construct(public float $zoom = 1.0, public float $x = 0.5, public float $y = 0.5)
    {
    }

    public static function fromFields(Fields $fields): self
    {
        $fields->only(['zoom', 'x', 'y']);

        return new self($fields->number('zoom', 1, self::MOST_ZOOM), $fields->number('x', 0, 1), $fields->number('y', 0, 1));
    }

    public function isPlain(): bool
    {
        return $this == new self;
    }

    /** @return array{zoom: float, x: float, y: float} */
    public function toArray(): array
    {
        return ['zoom' => $this->zoom, 'x' => $this->x, 'y' => $this->y];
    }
}
