<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

/**
 * What the fader does: it moves a flight by hand, between its two ends.
 *
 * Who moves it first has it until they let go, or until they have not moved it
 * for a while; meanwhile nobody else's hand does anything. Wherever it stands,
 * only the fader itself, a take, a cut or a way back moves program.
 */
final class FaderRules
{
    /** @return list<Rule> */
    public static function all(): array
    {
        $here = fn (string $position): Condition => Condition::is('@position', $position);
        $hold = ['heading' => "#'hand'", 'reached' => '@position', 'started' => '@now', 'holder' => '@holder', 'holder_until' => '@hold-until'];

        return [
            new Rule('fade', [Rulebook::atRest(), Condition::is('program', '@picture')], [], Rulebook::NOTHING),
            new Rule('fade', [Rulebook::atRest(), $here('#start')], [], Rulebook::NOTHING),
            // From one end to the other at a stroke is a cut.
            new Rule('fade', [Rulebook::atRest(), $here('#whole')], ['program' => '@picture', 'preview' => 'program', 'before' => '#none', 'way' => '@other-way'], 'cut'),
            new Rule('fade', [Rulebook::atRest()], [
                ...Rulebook::departure('@id', '@picture', '@kind', '@duration'), 'from' => 'program', ...$hold, 'preview' => '@picture', 'before' => '#none',
            ], 'by-hand'),
            new Rule('fade', [Condition::is('@free', '#no')], [], Rulebook::NOTHING),
            ...Rulebook::completed('fade', [$here('#whole')], '@now', 'arrived'),
            new Rule('fade', [$here('#start')], Rulebook::landed(), 'came-back'),
            new Rule('fade', [], $hold, Rulebook::QUIET),

            new Rule('let-go', [Condition::is('holder', '#none')], [], Rulebook::NOTHING),
            new Rule('let-go', [Condition::is('holder', '@holder')], ['holder' => '#none', 'holder_until' => '#none'], Rulebook::QUIET),
            new Rule('let-go', [], [], Rulebook::NOTHING),
        ];
    }
}
