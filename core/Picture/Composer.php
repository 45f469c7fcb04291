<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;

/** From what a picture means to what has to be painted. */
final readonly class Composer
{
    /** Behind every window: what shows at the free edges of material that does not fill the canvas. */
    private const BACKGROUND = '#14181f';

    private Handlings $handlings;

    /** @param  array<string, Source>  $sources by id */
    public function __construct(private Canvas $canvas, private array $sources, ?Handlings $handlings = null)
    {
        $this->handlings = $handlings ?? Handlings::none();
    }

    public function compose(Picture $picture): FramePlan
    {
        $layers = [];
        foreach ($picture->layout->windows($this->canvas->size) as $window) {
            $source = $this->sources[$picture->fills[$window->slot] ?? ''] ?? null;
            if ($source !== null) {
                array_push($layers, ...$this->behind($window, $source), ...[$this->layer($window, $source)]);
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
        $handling = $this->handlings->of($source->id);
        $framing = $handling->framing;
        $seen = $framing->size($source->layoutSize());
        $placed = ($framing->fit ?? $window->fit ?? $source->fitAlone($seen))->place($seen, $window->rect);

        return Layer::ofSource(
            $window->slot,
            $source->id,
            $placed->dest,
            $framing->toSource($placed->crop),
            orientation: $framing->orientation,
            letsThrough: $handling->key !== null || $source->kind === SourceKind::Still,
        );
    }

    /** @return list<Layer> what is put behind a source fills its whole window */
    private function behind(Window $window, Source $source): array
    {
        $behind = $this->handlings->of($source->id)->behind();
        if ($behind->colour !== null) {
            return [Layer::ofColour("{$window->slot} behind", $behind->colour, $window->rect)];
        }
        $other = $this->sources[$behind->source ?? ''] ?? null;

        return $other === null ? [] : [$this->layer(new Window("{$window->slot} behind", $window->rect, Fit::Cover), $other)];
    }
}
