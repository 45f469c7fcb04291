<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Cover;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Window;

/** How much of the material is hidden by what lies in front of it. */
final readonly class Coverage
{
    /**
     * @param  Window  $material  the window that must stay readable
     * @param  Rect  $shown  where its picture is painted, canvas pixels
     * @param  array<string, RoundedRect>  $covers  what lies in front of it, by slot
     * @param  array<string, RoundedRect>  $words  places kept free for words in front of it, by slot
     */
    private function __construct(public Window $material, public Rect $shown, public array $covers, public array $words, private Size $canvas)
    {
    }

    /**
     * @param  list<Window>  $windows  back to front
     * @param  array<string, Rect>  $shown  where each one's picture is painted, by slot; without one nothing of it is
     * @param  list<string>  $seenThrough  slots whose picture is keyed: they hide some, but nobody knows how much
     * @return ?self null when the picture has no material
     */
    public static function of(Size $canvas, array $windows, array $shown, array $seenThrough = []): ?self
    {
        foreach ($windows as $i => $material) {
            $rect = $shown[$material->slot] ?? null;
            if ($material->purpose !== Purpose::Material || $rect === null) {
                continue;
            }
            [$covers, $words] = [[], []];
            foreach (array_slice($windows, $i + 1) as $window) {
                if ($window->purpose === Purpose::Words) {
                    $words[$window->slot] = $window->outline();
                } elseif ($window->purpose !== Purpose::Art && isset($shown[$window->slot]) && ! in_array($window->slot, $seenThrough, true)) {
                    $covers[$window->slot] = $window->outline();
                }
            }

            return new self($material, $rect, $covers, $words, $canvas);
        }

        return null;
    }

    /** What of the material can be seen at all: its picture, inside its window and the canvas. */
    public function open(): RoundedRect
    {
        $outline = $this->material->outline();
        $rect = $outline->rect->intersection($this->shown)?->intersection($this->canvas->asRect());

        return new RoundedRect($rect ?? new Rect(0, 0, 0, 0), $rect == $outline->rect ? $outline->radius : 0.0);
    }

    /** Share of the material that is hidden by windows, 0 to 1. */
    public function hidden(): float
    {
        return $this->share(array_values($this->covers));
    }

    /** Share that is hidden when the words are there too. */
    public function hiddenWithWords(): float
    {
        return $this->share([...array_values($this->covers), ...array_values($this->words)]);
    }

    /**
     * How much of each place for words lies under other windows, 0 to 1.
     *
     * @return array<string, float> by slot, only those that do
     */
    public function wordsHidden(): array
    {
        $hidden = [];
        foreach ($this->words as $slot => $words) {
            $share = Area::covered($words, array_values($this->covers)) / max(1e-9, $words->area());
            if ($share > 0.001) {
                $hidden[$slot] = $share;
            }
        }

        return $hidden;
    }

    /** @param  list<RoundedRect>  $covers */
    private function share(array $covers): float
    {
        $open = $this->open();

        return $open->area() > 0 ? Area::covered($open, $covers) / $open->area() : 0.0;
    }
}
