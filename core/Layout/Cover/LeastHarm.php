<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Cover;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Reading\Busyness;

/**
 * The corner in which a window hides the least of what is on the material.
 * What is already there, other windows and places for words, is kept clear of.
 */
final readonly class LeastHarm
{
    /** Less than this share of what is on the material is not worth a word. */
    private const NOT_WORTH_IT = 0.02;

    /** @param  float  $harm  share of what is on the material that is hidden, 0 to 1 */
    private function __construct(public Corner $corner, public Rect $rect, public float $harm)
    {
    }

    /** Share of all that is on the material that lies under a shape, 0 to 1. */
    public static function harm(Busyness $busy, Coverage $coverage, RoundedRect $shape): float
    {
        return $busy->shareUnder($shape, $coverage->shown);
    }

    /**
     * @return ?self null when the window hides next to nothing, or no corner is better
     */
    public static function better(Window $window, Coverage $coverage, Busyness $busy, Size $canvas): ?self
    {
        $now = self::harm($busy, $coverage, $window->outline());
        if ($now < self::NOT_WORTH_IT) {
            return null;
        }
        $best = null;
        foreach (Corner::cases() as $corner) {
            $rect = self::in($corner, $window->rect, $canvas);
            $outline = $window->style->shape->outline($rect, $window->style->radius);
            $harm = self::harm($busy, $coverage, $outline);
            if ($harm < ($best->harm ?? $now - self::NOT_WORTH_IT / 2) && ! self::meets($outline, $window->slot, $coverage)) {
                $best = new self($corner, $rect, $harm);
            }
        }

        return $best;
    }

    /** As far from its corner as it is from the edges it is nearest to now. */
    private static function in(Corner $corner, Rect $rect, Size $canvas): Rect
    {
        $x = max(0.0, min($rect->x, $canvas->width - $rect->right()));
        $y = max(0.0, min($rect->y, $canvas->height - $rect->bottom()));
        [$x, $y] = [min($x, 0.1 * $canvas->width), min($y, 0.1 * $canvas->height)];

        return new Rect(
            $corner->isLeft() ? $x : $canvas->width - $x - $rect->width,
            $corner->isTop() ? $y : $canvas->height - $y - $rect->height,
            $rect->width,
            $rect->height,
        );
    }

    private static function meets(RoundedRect $outline, string $slot, Coverage $coverage): bool
    {
        $others = [...array_diff_key($coverage->covers, [$slot => 1]), ...$coverage->words];

        return Area::covered($outline, array_values($others)) > 0.02 * $outline->area();
    }

    /** @return array{corner: string, label: string, rect: array<string, float>, harm: float} */
    public function toArray(): array
    {
        return ['corner' => $this->corner->value, 'label' => $this->corner->label(), 'rect' => $this->rect->toArray(), 'harm' => $this->harm];
    }
}
