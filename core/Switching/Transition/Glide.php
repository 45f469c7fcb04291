<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Picture\Frame;
use Rhetorix\Core\Picture\FramePlan;
use Rhetorix\Core\Picture\Layer;

/**
 * Windows travel from their places in one picture to those in another.
 *
 * Both pictures are painted with their common windows at the same place on the
 * way, and mixed: so a common window is solid all the time, whatever it lies
 * over, and the other windows leave and appear as in a mix.
 */
final class Glide
{
    /**
     * @param  float  $way  0 at the outgoing picture, 1 at the incoming one
     * @return array{FramePlan, FramePlan} the outgoing and the incoming picture on the way
     */
    public static function at(FramePlan $outgoing, FramePlan $incoming, float $way): array
    {
        return [self::travelled($outgoing, $incoming, $way), self::travelled($incoming, $outgoing, 1 - $way)];
    }

    /**
     * Which window of one picture travels to which of the next, by the places in their lists.
     *
     * @return array<int, int>
     */
    public static function pairs(FramePlan $outgoing, FramePlan $incoming): array
    {
        $there = array_flip($incoming->glideKeys());
        $pairs = [];
        foreach ($outgoing->glideKeys() as $i => $key) {
            if (isset($there[$key])) {
                $pairs[$i] = $there[$key];
            }
        }

        return $pairs;
    }

    private static function travelled(FramePlan $plan, FramePlan $other, float $way): FramePlan
    {
        $layers = $plan->layers;
        foreach (self::pairs($plan, $other) as $i => $to) {
            $layers[$i] = self::between($layers[$i], $other->layers[$to], $way);
        }

        return new FramePlan($plan->canvas, $plan->background, array_values($layers));
    }

    private static function between(Layer $layer, Layer $other, float $way): Layer
    {
        $rect = fn (Rect $a, Rect $b): Rect => new Rect(self::mid($a->x, $b->x, $way), self::mid($a->y, $b->y, $way), self::mid($a->width, $b->width, $way), self::mid($a->height, $b->height, $way));
        // A picture that stands otherwise cannot slide inside its window: the mix leads over.
        $crop = $layer->orientation === $other->orientation
            ? new Crop(self::mid($layer->crop->x, $other->crop->x, $way), self::mid($layer->crop->y, $other->crop->y, $way), self::mid($layer->crop->width, $other->crop->width, $way), self::mid($layer->crop->height, $other->crop->height, $way))
            : $layer->crop;
        $frame = null;
        if ($layer->frame !== null || $other->frame !== null) {
            $own = $layer->frame ?? new Frame(new RoundedRect($layer->dest));
            $others = $other->frame->outline ?? new RoundedRect($other->dest);
            $frame = new Frame(new RoundedRect($rect($own->outline->rect, $others->rect), self::mid($own->outline->radius, $others->radius, $way)), $own->border, $own->borderColour, $own->shadow, $own->shade);
        }

        return $layer->travelled($rect($layer->dest, $other->dest), $crop, $frame);
    }

    private static function mid(float $a, float $b, float $way): float
    {
        return $a + ($b - $a) * $way;
    }
}
