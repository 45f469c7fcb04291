<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;

/** From what a picture means to what has to be painted. */
final readonly class Composer
{
    /** Behind every window: what shows at the free edges of material that does not fill the canvas. */
    public const BACKGROUND = '#14181f';

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
            array_push($layers, ...($source === null ? $this->whileEmpty($window) : $this->filled($window, $source)));
        }

        return new FramePlan($this->canvas->size, $picture->layout->background() ?? self::BACKGROUND, $layers);
    }

    public function holding(string $show): FramePlan
    {
        return new FramePlan($this->canvas->size, self::BACKGROUND, [
            Layer::ofCard('holding', Card::holding($show, $this->canvas->size)),
        ]);
    }

    /** @return list<Layer> */
    private function filled(Window $window, Source $source): array
    {
        $behind = $this->behind($window, $source);
        $layer = $this->layer($window, $source, self::frame($window));

        return $behind === null ? [$layer] : [$behind, $layer];
    }

    /** @return list<Layer> a place that waits for somebody says for whom */
    private function whileEmpty(Window $window): array
    {
        if (! $window->purpose->showsWhileEmpty() || $window->rect->isEmpty()) {
            return [];
        }
        $size = new Size($window->rect->width, $window->rect->height);

        return [Layer::ofCard($window->slot, Card::emptyPlace($window->purpose, $size), $window->rect, self::frame($window))];
    }

    private function layer(Window $window, Source $source, ?Frame $frame): Layer
    {
        $handling = $this->handlings->of($source->id);
        $framing = $handling->framing;
        $seen = $window->turn->size($framing->size($source->layoutSize()));
        $placed = ($framing->fit ?? $window->fit ?? $source->fitAlone($seen))->place($seen, $window->rect, $window->view);

        return Layer::ofSource(
            $window->slot,
            $source->id,
            $placed->dest,
            $framing->toSource($window->turn->toSource($placed->crop)),
            orientation: self::turned($framing->orientation, $window->turn),
            letsThrough: $handling->key !== null || $source->kind === SourceKind::Still,
            frame: $frame,
        );
    }

    /** What is put behind a source fills its whole window. */
    private function behind(Window $window, Source $source): ?Layer
    {
        $behind = $this->handlings->of($source->id)->behind();
        $frame = self::frame($window)?->bare();
        if ($behind->colour !== null) {
            return Layer::ofColour("{$window->slot} behind", $behind->colour, $window->rect, $frame);
        }
        $other = $this->sources[$behind->source ?? ''] ?? null;

        return $other === null ? null : $this->layer($window->named("{$window->slot} behind", Fit::Cover), $other, $frame);
    }

    /** A plain rectangle needs none. */
    private static function frame(Window $window): ?Frame
    {
        $style = $window->style;

        return $style->isPlain() ? null : new Frame($window->outline(), $style->border, $style->borderColour, $style->shadow, $style->shade);
    }

    private static function turned(Orientation $orientation, Orientation $more): Orientation
    {
        for ($i = 0; $i < $more->quarterTurns(); $i++) {
            $orientation = $orientation->turnedRight();
        }

        return $orientation;
    }
}
