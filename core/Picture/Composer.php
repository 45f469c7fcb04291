<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Rig\Source;

/** From what a picture means to what has to be painted. */
final readonly class Composer
{
    /** Behind every window: what shows at the free edges of material that does not fill the canvas. */
    private const BACKGROUND = '#14181f';

    /** @param  array<string, Source>  $sources by id */
    public function __construct(private Canvas $canvas, private array $sources)
    {
    }

    public function compose(Picture $picture): FramePlan
    {
        $layers = [];
        foreach ($picture->layout->windows($this->canvas->size) as $window) {
            $source = $this->sources[$picture->fills[$window->slot] ?? ''] ?? null;
            if ($source !== null) {
                $layers[] = $this->layer($window, $source);
            }
        }

        return new FramePlan($this->canvas->size, self::BACKGROUND, $layers);
    }

    public function holding(string $show): FramePlan
    {
        return new FramePlan($this->canvas->size, self::BACKGROUND, [
            Layer::ofCard('holding', Card::holding($show, $this->canvas->size)),
        ]);
    }

    private function layer(Window $window, Source $source): Layer
    {
        $fit = $window->fit ?? $source->kind->fitAlone($source->group);
        $placed = $fit->place($source->layoutSize(), $window->rect);

        return Layer::ofSource($window->slot, $source->id, $placed->dest, $placed->crop);
    }
}
