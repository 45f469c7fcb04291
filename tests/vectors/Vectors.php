<?php

namespace Tests\vectors;

use Rhetorix\Core\Colour\Correction;
use Rhetorix\Core\Key\ChromaKey;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Rig\Clip;
use Rhetorix\Core\Rig\Live\ClipEnd;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\Playback;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Tally;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Switching\Transition\TransitionPlan;
use Rhetorix\Core\Time\Milliseconds;

/**
 * What the core computes, written down for the browser's side to be held
 * against. Made by `php tests/vectors/make.php`; a test on each side reads it.
 */
final class Vectors
{
    /** @return array<string, mixed> */
    public static function make(): array
    {
        $book = bookOf();

        return [
            'book' => array_intersect_key($book->toArray(), ['canvas' => 1, 'sources' => 1, 'pictures' => 1, 'rules' => 1, 'hold_ms' => 1, 'inset' => 1, 'showing' => 1, 'transitions' => 1]),
            'sequences' => array_map(fn (int $seed): array => self::sequence($seed, $book), range(1, 12)),
            'clips' => self::clips(),
            'looks' => self::looks(),
            'glides' => LayoutVectors::glides(),
            'snaps' => LayoutVectors::snaps(),
            'blends' => array_map(fn (TransitionKind $kind): array => ['kind' => $kind->value, 'at' => array_map(fn (int $i): array => [$i / 20, TransitionPlan::of($kind)->at($i / 20)->toArray()], range(0, 20))], TransitionKind::cases()),
        ];
    }

    /** @return list<array<string, mixed>> presses at random moments, and the desk after each */
    private static function sequence(int $seed, PlanBook $book): array
    {
        mt_srand($seed);
        $desk = Desk::empty();
        $now = 0;
        $steps = [];
        for ($i = 0; $i < 40; $i++) {
            $now += mt_rand(0, 900);
            $press = press(randomPress(), "{$seed}-{$i}");
            $command = ['id' => $press->id(), 'type' => $press->action->value, 'picture' => $press->picture, 'transition' => $press->transition?->toArray() ?? Transition::usual()->toArray(), ...$press->more];
            $desk = $desk->apply($press, at($now))->desk;
            $steps[] = [
                'at' => $now,
                'command' => $command,
                'registers' => array_diff_key($desk->toArray(), ['chosen' => 1, 'favourites' => 1, 'past' => 1, 'strips' => 1, 'handlings' => 1, 'positions' => 1]),
                'on_air' => $desk->onAir(),
                'progress' => $desk->flight()?->progress(at($now)),
                'past' => $desk->past,
                'inset' => self::inset($desk->inset($book->size(), at($now))),
                'tally' => Tally::of($desk, $book, at($now))->toArray(),
            ];
        }

        return $steps;
    }

    /** @return ?array{source: string, rect: array<string, float>, opacity: float, trim: float} */
    private static function inset(?Inset $inset): ?array
    {
        return $inset === null ? null : ['source' => $inset->source, 'rect' => $inset->rect->toArray(), 'opacity' => $inset->opacity, 'trim' => $inset->trim];
    }

    /** @return list<array<string, mixed>> looks, and what becomes of some pixels: with the colours put right, and then with the backing out */
    private static function looks(): array
    {
        mt_srand(44);
        $cases = [];
        $part = fn (float $least, float $most): float => round($least + ($most - $least) * mt_rand() / mt_getrandmax(), 3);
        for ($i = 0; $i < 14; $i++) {
            $colour = $i % 3 === 0 ? Correction::none() : new Correction($part(0.6, 1.5), $part(0.6, 1.5), $i % 3 === 1 ? 1.0 : $part(0, 2), $part(-1, 1), $part(-1, 1));
            $key = $i % 4 === 0 ? null : new ChromaKey([[43, 154, 128], [40, 80, 190], [0, 255, 0]][mt_rand(0, 2)], $part(0, 0.6), $part(0.1, 1), $part(0, 1));
            $pixels = [];
            for ($j = 0; $j < 40; $j++) {
                $pixel = $j % 2 === 0 || $key === null ? [mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255)] : array_map(fn (int $level): int => max(0, min(255, $level + mt_rand(-60, 60))), $key->colour);
                $right = $colour->isNone() ? $pixel : array_map(fn (float $value): int => (int) round(255 * $value), $colour->of([$pixel[0] / 255, $pixel[1] / 255, $pixel[2] / 255]));
                $pixels[] = [$pixel, [...$right, 255], $key?->of($right) ?? [...$right, 255]];
            }
            $cases[] = ['look' => (new Handling(Framing::none(), colour: $colour, key: $key))->look() ?? ['colour' => null, 'key' => null], 'pixels' => $pixels];
        }

        return $cases;
    }

    /** @return list<array<string, mixed>> where a clip stands at random moments */
    private static function clips(): array
    {
        mt_srand(33);
        $cases = [];
        for ($i = 0; $i < 60; $i++) {
            $clip = new Clip(Milliseconds::of(mt_rand(500, 20_000)), Milliseconds::of(0), ClipEnd::cases()[mt_rand(0, 2)], false);
            $playback = Playback::at(mt_rand(0, 3) > 0, Milliseconds::of(mt_rand(0, 20_000)), at(100_000));
            $now = 100_000 + mt_rand(-200, 60_000);
            $cases[] = ['clip' => $clip->toArray(), 'playback' => $playback->toArray(), 'now' => $now, 'position' => $playback->positionAt(at($now), $clip->length, $clip->end)->count];
        }

        return $cases;
    }
}
