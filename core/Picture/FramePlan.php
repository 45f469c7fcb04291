<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Geometry\Uncovered;

/** Everything that has to be painted for one picture, back to front. */
final readonly class FramePlan
{
    /** @param  list<Layer>  $layers back to front */
    public function __construct(
        public Size $canvas,
        public string $background,
        public array $layers,
    ) {
    }

    /**
     * The sources that can really be seen: not outside the canvas, not wholly
     * covered by opaque windows in front, not fully transparent.
     *
     * @return list<string>
     */
    public function visibleSources(): array
    {
        $visible = [];
        $covers = [];
        foreach (array_reverse($this->layers) as $layer) {
            $onCanvas = $layer->dest->intersection($this->canvas->asRect());
            if ($onCanvas === null || $layer->opacity <= 0.0) {
                continue;
            }
            if ($layer->source !== null && Uncovered::anyOf($onCanvas, $covers)) {
                $visible[] = $layer->source;
            }
            if ($layer->isOpaque()) {
                $covers[] = $onCanvas;
            }
        }

        return array_values(array_unique(array_reverse($visible)));
    }

    /** Where a window of this key lies, or null. */
    public function placeOf(string $key): ?Rect
    {
        foreach ($this->layers as $layer) {
            if ($layer->key === $key) {
                return $layer->dest;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'canvas' => $this->canvas->toArray(),
            'background' => $this->background,
            'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers),
        ];
    }
}
