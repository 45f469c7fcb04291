<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Group;

/** One picture, and its sound, coming in. */
final readonly class Source
{
    /**
     * @param  ?Size  $size  what it really delivers; null until a frame was seen
     */
    public function __construct(
        public string $id,
        public string $name,
        public SourceKind $kind,
        public Group $group,
        public Hearing $hearing,
        public ?Size $size = null,
    ) {
    }

    /** The size to lay it out with: the real one, or 16:9 until it is known. */
    public function layoutSize(): Size
    {
        return $this->size ?? new Size(1280, 720);
    }
}
