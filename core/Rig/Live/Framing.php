<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Support\Fields;

/**
 * What of a source is seen and how it stands: first its edges are cropped,
 * then it is turned and mirrored, then magnified. Every window that shows the
 * source shows it so.
 */
final readonly class Framing
{
    public function __construct(public Crop $crop, public Orientation $orientation, public Magnify $magnify)
    {
    }

    public static function none(): self
    {
        return new self(Crop::whole(), Orientation::Upright, Magnify::none());
    }

    /** This framing with the parts that are given. */
    public function with(Fields $given): self
    {
        return new self(
            $given->has('crop') ? Crop::fromFields($given->object('crop')) : $this->crop,
            $given->has('orientation') ? $given->oneOf('orientation', Orientation::class) : $this->orientation,
            $given->has('magnify') ? Magnify::fromFields($given->object('magnify')) : $this->magnify,
        );
    }

    /** The size of the source as windows get to see it, in source pixels before magnifying. */
    public function size(Size $source): Size
    {
        return $this->orientation->size(new Size($this->crop->width * $source->width, $this->crop->height * $source->height));
    }

    /** From a part of what windows see to the part of the source that has to be painted. */
    public function toSource(Crop $seen): Crop
    {
        return $this->crop->part($this->orientation->toSource($this->magnify->window()->part($seen)));
    }

    public function isNone(): bool
    {
        return $this == self::none();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['crop' => $this->crop->toArray(), 'orientation' => $this->orientation->value, 'magnify' => $this->magnify->toArray()];
    }
}
