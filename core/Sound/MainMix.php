<?php

declare(strict_types=1);

namespace Rhetorix\Core\Sound;

use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Time\Instant;

/** Which sources are heard, and how loud. */
final class MainMix
{
    /** To close or open without a click; common practice. */
    public const DECLICK_MS = 12;

    /**
     * Gain of each source at a moment, 0 where it is not heard. A covered
     * program is silent.
     *
     * @return array<string, float> by source id
     */
    public static function at(Desk $desk, PlanBook $book, Instant $at): array
    {
        $share = self::shares($desk, $book, $at);
        $inset = $desk->inset($book->size(), $at);
        if ($inset !== null) {
            foreach ($book->heardInInset($inset->source) as $source) {
                $share[$source] = max($share[$source] ?? 0.0, $inset->opacity);
            }
        }
        $open = $desk->showing()->sound ? 1.0 : 0.0;
        $gains = [];
        foreach ($book->sources() as $source) {
            $gains[$source->id] = $open * $desk->strip($source->id)->gain() * match ($source->hearing) {
                Hearing::Always => 1.0,
                Hearing::WithPicture => min(1.0, $share[$source->id] ?? 0.0),
                Hearing::Never => 0.0,
            };
        }

        return $gains;
    }

    /**
     * Sources whose sound goes with a picture.
     *
     * @param  array<string, Source>  $sources
     * @param  list<string>  $visible
     * @return list<string>
     */
    public static function heardWith(array $visible, array $sources): array
    {
        return array_values(array_filter(
            $visible,
            fn (string $id): bool => ($sources[$id] ?? null)?->hearing === Hearing::WithPicture,
        ));
    }

    /** @return array<string, float> how much of each source the pictures on air ask for */
    private static function shares(Desk $desk, PlanBook $book, Instant $at): array
    {
        $flight = $desk->flight();
        $pictures = $desk->onAir();
        if ($flight === null || count($pictures) < 2) {
            return array_fill_keys($book->heardWith($pictures[0]), 1.0);
        }
        $plan = $flight->transition->plan();
        $blend = $plan->at($flight->progress($at));
        $shares = $plan->clip === null ? [] : [$plan->clip => 1.0];
        foreach ([[$flight->from, $blend->of('outgoing.gain')], [$flight->to, $blend->of('incoming.gain')]] as [$picture, $gain]) {
            foreach ($book->heardWith($picture) as $source) {
                $shares[$source] = ($shares[$source] ?? 0.0) + $gain;
            }
        }

        return $shares;
    }
}
