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
            $onCanvas = $layer->reach()?->intersection($this->canvas->asRect());
            if ($onCanvas === null || $layer->opacity <= 0.0) {
                continue;
            }
            if ($layer->source !== null && Uncovered::anyOf($onCanvas, $covers)) {
                $visible[] = $layer->source;
            }
            $hidden = $layer->hides()?->intersection($this->canvas->asRect());
            if ($hidden !== null) {
                $covers[] = $hidden;
            }
        }

        return array_values(array_unique(array_reverse($visible)));
    }

    /**
     * What each layer is for a glide: the same key in two pictures is one
     * window that travels. A source that is shown several times is counted
     * from the back; what is no source is known by its place.
     *
     * @return list<string> one for each layer
     */
    public function glideKeys(): array
    {
        $count = [];
        $keys = [];
        foreach ($this->layers as $layer) {
            $thing = $layer->source ?? "place {$layer->key}";
            $count[$thing] = ($count[$thing] ?? 0) + 1;
            $keys[] = "{$thing} {$count[$thing]}";
        }

        return $keys;
    }

    public function layerOf(string $key): ?Layer
    {
        foreach ($this->layers as $layer) {
            if ($layer->key === $key) {
                return $layer;
            }
        }

        return null;
    }

    /** Where a window of this key lies, or null. */
    public function placeOf(string $key): ?Rect
    {
        return $this->layerOf($key)?->dest;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'canvas' => $this->canvas->toArray(),
            'background' => $this->background,
            'layers' => array_map(fn (Layer $layer, string $glide): array => [...$layer->toArray(), 'glide' => $glide], $this->layers, $this->glideKeys()),
        ];
    }
}
