<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Group;

/** One picture, and its sound, coming in. */
final readonly class Source
{
    /**
     * @param  ?Size  $size  what it really delivers; null until a frame was seen
     * @param  ?Deck  $deck  for a deck
     * @param  ?Clip  $clip  for a clip
     * @param  ?string  $art  for a colour its value ("#a1b2c3"), for a test picture its name
     */
    public function __construct(
        public string $id,
        public string $name,
        public SourceKind $kind,
        public Group $group,
        public Hearing $hearing,
        public ?Size $size = null,
        public ?Deck $deck = null,
        public ?Clip $clip = null,
        public ?string $art = null,
    ) {
    }

    /** The size to lay it out with: the real one, or 16:9 until it is known. */
    public function layoutSize(): Size
    {
        return $this->size ?? new Size(1280, 720);
    }

    /** Music is a clip without a picture. */
    public function hasPicture(): bool
    {
        return $this->kind->hasPicture() && ! ($this->clip !== null && $this->clip->soundOnly);
    }

    public function fitAlone(Size $asSeen): Fit
    {
        return $this->kind->fitAlone($this->group, $asSeen);
    }

    public function isPortrait(): bool
    {
        return $this->size !== null && $this->size->aspect() < 1;
    }
}
