<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** A quick closer look at a point of a source: a place that is enlarged and keeps its shape. */
final readonly class Magnify
{
    public const LARGEST = 8.0;

    /** What the desk offers with one press. */
    public const STEPS = [1.0, 1.5, 2.0, 3.0, 4.0];

    /**
     * @param  float  $x  middle of the look, fraction of the picture as it is seen, 0 to 1
     * @param  float  $y  likewise, from the top
     * @param  float  $factor  how many times larger, 1 to 8
     *
     * @throws BadInput when a value is out of range
     */
    public function __construct(public float $x, public float $y, public float $factor)
    {
        if (! ($x >= 0.0 && $x <= 1.0 && $y >= 0.0 && $y <= 1.0)) {
            throw BadInput::outOfRange('magnify.x and magnify.y', 'between 0 and 1');
        }
        if (! ($factor >= 1.0 && $factor <= self::LARGEST)) {
            throw BadInput::outOfRange('magnify.factor', 'between 1 and '.self::LARGEST);
        }
    }

    public static function none(): self
    {
        return new self(0.5, 0.5, 1.0);
    }

    public static function fromFields(Fields $fields): self
    {
        return new self($fields->number('x', 0, 1), $fields->number('y', 0, 1), $fields->number('factor', 1, self::LARGEST));
    }

    /** The part that is seen; at an edge it stops at the edge. */
    public function window(): Crop
    {
        $side = 1 / $this->factor;
        $from = fn (float $middle): float => max(0.0, min(1 - $side, $middle - $side / 2));

        return new Crop($from($this->x), $from($this->y), $side, $side);
    }

    /** @return array{x: float, y: float, factor: float} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'factor' => $this->factor];
    }
}
