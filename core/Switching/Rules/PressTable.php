<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/**
 * What every press does in every state of the desk, worked out by giving it.
 * A is on program and B next to begin with; C is any other picture.
 */
final class PressTable
{
    /** The press comes half a second into a transition of one second. */
    private const NOW = 500;

    private const LATER = 60_000;

    /** @return array<string, list<array{int, string, ?string}>> state => presses before it: ms, press, picture */
    public static function states(): array
    {
        $rest = [[0, 'cut', 'A'], [0, 'arm', 'B']];
        $flight = [[0, 'cut', 'A'], [0, 'take', 'B']];
        $hand = [...$rest, [0, 'fade 400', 'B']];

        return [
            'at rest' => $rest,
            'A changes to B' => $flight,
            'A changes to B, C waits' => [...$flight, [100, 'take', 'C']],
            'in our hand' => $hand,
            'in another hand' => [...$rest, [0, 'fade 400 other', 'B']],
            'left half way' => [...$hand, [100, 'let-go', null]],
            'going back to A' => [...$flight, [400, 'back', null]],
            'covered' => [...$rest, [0, 'cover', null]],
        ];
    }

    /** @return array<string, array{string, ?string}> label => press and picture */
    public static function presses(): array
    {
        return [
            'arm C' => ['arm', 'C'], 'undo of an arming' => ['unarm', null],
            'cut to B' => ['cut', 'B'], 'cut to A' => ['cut', 'A'], 'cut to C' => ['cut', 'C'], 'straight to C' => ['direct', 'C'],
            'take B' => ['take', 'B'], 'take A' => ['take', 'A'], 'take C' => ['take', 'C'], 'back' => ['back', null],
            'fader half way' => ['fade 500', 'B'], 'fader to its end' => ['fade 1000', 'B'], 'fader to its beginning' => ['fade 0', 'B'], 'letting go' => ['let-go', null],
            'cover' => ['cover', null], 'uncover' => ['uncover', null],
        ];
    }

    /** @return array<string, array<string, string>> press => state => what is seen then, and in the end */
    public static function cells(): array
    {
        $table = [];
        foreach (self::presses() as $label => [$press, $picture]) {
            foreach (self::states() as $state => $before) {
                $desk = Desk::empty();
                foreach ($before as $i => [$ms, $words, $of]) {
                    $desk = $desk->apply(self::press("before {$i}", $words, $of), new Instant($ms))->desk;
                }
                $desk = $desk->apply(self::press('press', $press, $picture), new Instant(self::NOW))->desk;
                $then = self::told($desk, self::NOW);
                $end = self::told($desk, self::LATER);
                $table[$label][$state] = $then === $end ? $then : "{$then}; then {$end}";
            }
        }

        return $table;
    }

    private static function press(string $id, string $words, ?string $picture): Press
    {
        [$name, $position, $holder] = [...explode(' ', $words), '0', 'we'];

        return new Press($id, Action::from($name), $picture, new Transition(TransitionKind::Mix, Milliseconds::of(1000)), ['position' => (int) $position, 'holder' => $holder]);
    }

    /** "A to B at 40 %, next B" */
    private static function told(Desk $desk, int $ms): string
    {
        $at = new Instant($ms);
        $desk = $desk->settled($at)->desk;
        $flight = $desk->flight();
        $name = fn (?string $picture): string => $picture === Desk::HOLDING ? 'holding card' : ($picture ?? 'nothing');
        $program = match (true) {
            $desk->isCovered() => 'covered',
            $flight !== null => sprintf('%s to %s at %d %%%s', $name($flight->from), $name($flight->to), round(100 * $flight->progress($at)), $flight->isByHand() ? ' by hand' : ($flight->isGoingBack() ? ' going back' : '')),
            default => $name($desk->program()),
        };

        return "{$program}, next {$name($desk->preview())}";
    }
}
