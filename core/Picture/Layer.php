<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Rect;

/** One thing painted on the canvas: a part of a source, a card, or a flat colour. */
final readonly class Layer
{
    private function __construct(
        public string $key,
        public ?string $source,
        public ?Card $card,
        public Rect $dest,
        public Crop $crop,
        public float $opacity,
        public Orientation $orientation,
        public ?string $fill = null,
        public bool $letsThrough = false,
        public ?Frame $frame = null,
    ) {
    }

    /**
     * @param  string  $key  stays the same while the same window is meant
     * @param  Rect  $dest  canvas pixels
     * @param  Crop  $crop  fractions of the source, before it is turned
     * @param  float  $opacity  0 to 1
     * @param  Orientation  $orientation  how the crop is turned into dest
     * @param  bool  $letsThrough  what lies behind is seen through it
     */
    public static function ofSource(string $key, string $source, Rect $dest, Crop $crop, float $opacity = 1.0, Orientation $orientation = Orientation::Upright, bool $letsThrough = false, ?Frame $frame = null): self
    {
        return new self($key, $source, null, $dest, $crop, $opacity, $orientation, null, $letsThrough, $frame);
    }

    /** @param  ?Rect  $dest  canvas pixels; null: as large as the card */
    public static function ofCard(string $key, Card $card, ?Rect $dest = null, ?Frame $frame = null): self
    {
        return new self($key, null, $card, $dest ?? $card->size->asRect(), Crop::whole(), 1.0, Orientation::Upright, frame: $frame);
    }

    /** @param  string  $colour  "#a1b2c3" */
    public static function ofColour(string $key, string $colour, Rect $dest, ?Frame $frame = null): self
    {
        return new self($key, null, null, $dest, Crop::whole(), 1.0, Orientation::Upright, $colour, frame: $frame);
    }

    /** The same layer at another place. */
    public function travelled(Rect $dest, Crop $crop, ?Frame $frame): self
    {
        return new self($this->key, $this->source, $this->card, $dest, $crop, $this->opacity, $this->orientation, $this->fill, $this->letsThrough, $frame);
    }

    /** Where it can be seen at all. */
    public function reach(): ?Rect
    {
        return $this->frame === null ? $this->dest : $this->dest->intersection($this->frame->outline->rect);
    }

    /** A rectangle of which nothing shows through, or null. */
    public function hides(): ?Rect
    {
        if ($this->opacity < 1.0 || $this->letsThrough) {
            return null;
        }

        return $this->frame === null ? $this->dest : $this->dest->intersection($this->frame->outline->core());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'source' => $this->source,
            'card' => $this->card?->toArray(),
            'fill' => $this->fill,
            'dest' => $this->dest->toArray(),
            'crop' => $this->crop->toArray(),
            'turn' => $this->orientation->quarterTurns(),
            'mirror' => $this->orientation->isMirrored(),
            'opacity' => $this->opacity,
            'lets_through' => $this->letsThrough,
            'frame' => $this->frame?->toArray(),
        ];
    }
}
