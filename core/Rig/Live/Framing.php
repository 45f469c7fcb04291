<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * What of a source is seen and how it stands: first its edges are cropped,
 * then it is turned and mirrored, then magnified. Every window that shows the
 * source shows it so. Where a window has another shape, it is fitted, fills or
 * is stretched, as is said here, or else as suits the window.
 */
final readonly class Framing
{
    /** Shares of an edge that a crop must leave. */
    private const LEAST_SIDE = 0.02;

    /**
     * @param  ?Fit  $fit  null: as suits the window and the kind of source
     *
     * @throws BadInput when the crop leaves nearly nothing
     */
    public function __construct(public Crop $crop, public Orientation $orientation, public Magnify $magnify, public ?Fit $fit = null)
    {
        if ($crop->width < self::LEAST_SIDE || $crop->height < self::LEAST_SIDE) {
            throw BadInput::outOfRange('framing.crop', 'at least 2 % of the picture wide and high');
        }
    }

    public static function none(): self
    {
        return new self(Crop::whole(), Orientation::Upright, Magnify::none());
    }

    /** This framing with the parts that are given; a crop is of the source, what is cut off is of the picture as it stands upright. */
    public function with(Fields $given): self
    {
        $orientation = $given->has('orientation') ? $given->oneOf('orientation', Orientation::class) : $this->orientation;

        return new self(
            match (true) {
                $given->has('cut') => $orientation->toSource(Crop::cutting($given->object('cut'))),
                $given->has('crop') => Crop::fromFields($given->object('crop')),
                default => $this->crop,
            },
            $orientation,
            $given->has('magnify') ? Magnify::fromFields($given->object('magnify')) : $this->magnify,
            match (true) {
                ! $given->has('fit') => $this->fit,
                $given->all()['fit'] === 'auto' => null,
                default => $given->oneOf('fit', Fit::class),
            },
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

    /**
     * What is cut off, in whole pixels of the picture as it stands upright.
     *
     * @return array{left: int, top: int, right: int, bottom: int, width: int, height: int} the last two: of the whole picture
     */
    public function edges(Size $source): array
    {
        return $this->edgesOf($this->crop, $source);
    }

    /**
     * The same of another part of the source, such as the one that is keyed.
     *
     * @return array{left: int, top: int, right: int, bottom: int, width: int, height: int}
     */
    public function edgesOf(Crop $crop, Size $source): array
    {
        $seen = $this->orientation->fromSource($crop);
        $whole = $this->orientation->size($source);
        $pixels = fn (float $share, float $side): int => (int) round($share * $side);

        return [
            'left' => $pixels($seen->x, $whole->width),
            'top' => $pixels($seen->y, $whole->height),
            'right' => $pixels(1 - $seen->x - $seen->width, $whole->width),
            'bottom' => $pixels(1 - $seen->y - $seen->height, $whole->height),
            'width' => (int) $whole->width,
            'height' => (int) $whole->height,
        ];
    }

    public function isNone(): bool
    {
        return $this == self::none();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['crop' => $this->crop->toArray(), 'orientation' => $this->orientation->value, 'magnify' => $this->magnify->toArray(), 'fit' => $this->fit->value ?? 'auto'];
    }
}
