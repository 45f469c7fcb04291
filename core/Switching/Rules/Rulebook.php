<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

use LogicException;

/**
 * What each live command does in each state of the desk. The desk in the core
 * applies these rules, and the desk in the browser applies the same rules as
 * data, so that a press looks the same before and after the server answered.
 *
 * The first rule that applies counts. In a flight (a transition that is under
 * way) "from" is the outgoing picture and "to" the incoming one; "preview"
 * stays what it was until the flight is over.
 */
final class Rulebook
{
    private static ?self $standard = null;

    public const NOTHING = 'nothing';

    /** The command that the clock gives when a flight has run its time. */
    public const ARRIVAL = 'arrival';

    /** @param  list<Rule>  $rules */
    private function __construct(public readonly array $rules)
    {
    }

    public static function standard(): self
    {
        return self::$standard ??= new self([
            ...self::arm(), ...self::cut(), ...self::direct(), ...self::take(),
            ...self::arrival(), ...self::cover(), ...self::forget(),
        ]);
    }

    public function ruleFor(string $command, Registers $registers): Rule
    {
        foreach ($this->rules as $rule) {
            if ($rule->applies($command, $registers)) {
                return $rule;
            }
        }

        throw new LogicException("No rule says what {$command} does here.");
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(fn (Rule $rule): array => $rule->toArray(), $this->rules);
    }

    /** @return list<Rule> */
    private static function arm(): array
    {
        return [
            new Rule('arm', [Condition::is('preview', '@picture')], [], self::NOTHING),
            new Rule('arm', [], ['preview' => '@picture'], 'arm'),
        ];
    }

    /** @return list<Rule> */
    private static function cut(): array
    {
        return [
            new Rule('cut', [self::atRest(), Condition::is('program', '@picture')], [], self::NOTHING),
            new Rule('cut', [self::atRest()], ['program' => '@picture', 'preview' => 'program'], 'cut'),
            ...self::jumpToIncoming('cut'),
            new Rule('cut', [], ['program' => '@picture', 'preview' => 'to', ...self::landed()], 'cut'),
        ];
    }

    /**
     * Straight to program: what somebody prepared in preview stays there,
     * unless it is the very picture that goes up.
     *
     * @return list<Rule>
     */
    private static function direct(): array
    {
        return [
            new Rule('direct', [self::atRest(), Condition::is('program', '@picture')], [], self::NOTHING),
            new Rule('direct', [self::atRest(), Condition::is('preview', '@picture')], ['program' => '@picture', 'preview' => 'program'], 'cut'),
            new Rule('direct', [self::atRest()], ['program' => '@picture'], 'cut'),
            ...self::jumpToIncoming('direct'),
            new Rule('direct', [Condition::is('preview', '@picture')], ['program' => '@picture', 'preview' => 'to', ...self::landed()], 'cut'),
            new Rule('direct', [], ['program' => '@picture', ...self::landed()], 'cut'),
        ];
    }

    /** @return list<Rule> */
    private static function take(): array
    {
        return [
            new Rule('take', [self::atRest(), Condition::is('program', '@picture')], [], self::NOTHING),
            new Rule('take', [self::atRest()], [
                'flight' => '@id', 'from' => 'program', 'to' => '@picture',
                'kind' => '@kind', 'duration' => '@duration', 'started' => '@now',
                'preview' => '@picture',
            ], 'transition'),
            // Pressed again for the picture that is coming: it goes on coming, and nothing follows it.
            new Rule('take', [Condition::is('to', '@picture'), Condition::is('queued', '#none')], [], self::NOTHING),
            new Rule('take', [Condition::is('to', '@picture')], self::nothingQueued(), 'goes-on'),
            // Another picture waits until this transition is over: never a jump.
            new Rule('take', [], [
                'queued' => '@id', 'queued_to' => '@picture', 'queued_kind' => '@kind', 'queued_duration' => '@duration',
                'preview' => '@picture',
            ], 'waits'),
        ];
    }

    /** @return list<Rule> */
    private static function arrival(): array
    {
        return [
            new Rule(self::ARRIVAL, [Condition::isNot('queued', '#none')], [
                'program' => 'to', 'flight' => 'queued', 'from' => 'to', 'to' => 'queued_to',
                'kind' => 'queued_kind', 'duration' => 'queued_duration', 'started' => '@end',
                ...self::nothingQueued(),
            ], 'transition'),
            new Rule(self::ARRIVAL, [Condition::is('preview', 'to')], ['program' => 'to', 'preview' => 'from', ...self::landed()], 'arrived'),
            new Rule(self::ARRIVAL, [], ['program' => 'to', ...self::landed()], 'arrived'),
        ];
    }

    /** @return list<Rule> */
    private static function cover(): array
    {
        return [
            new Rule('cover', [Condition::is('covered', '#yes')], [], self::NOTHING),
            new Rule('cover', [], ['covered' => '#yes'], 'cover'),
            new Rule('uncover', [Condition::is('covered', '#no')], [], self::NOTHING),
            new Rule('uncover', [], ['covered' => '#no'], 'uncover'),
        ];
    }

    /**
     * A picture was deleted while it waited in preview.
     *
     * @return list<Rule>
     */
    private static function forget(): array
    {
        return [
            new Rule('forget', [Condition::is('preview', '@picture')], ['preview' => '#none'], 'forget'),
            new Rule('forget', [], [], self::NOTHING),
        ];
    }

    /** @return list<Rule> a press for the picture that is already coming ends the flight at once */
    private static function jumpToIncoming(string $command): array
    {
        return [
            new Rule($command, [Condition::is('to', '@picture'), Condition::is('preview', 'to')], ['program' => 'to', 'preview' => 'from', ...self::landed()], 'cut'),
            new Rule($command, [Condition::is('to', '@picture')], ['program' => 'to', ...self::landed()], 'cut'),
        ];
    }

    private static function atRest(): Condition
    {
        return Condition::is('flight', '#none');
    }

    /** @return array<string, string> */
    private static function landed(): array
    {
        return [
            'flight' => '#none', 'from' => '#none', 'to' => '#none',
            'kind' => '#none', 'duration' => '#none', 'started' => '#none',
            ...self::nothingQueued(),
        ];
    }

    /** @return array<string, string> */
    private static function nothingQueued(): array
    {
        return ['queued' => '#none', 'queued_to' => '#none', 'queued_kind' => '#none', 'queued_duration' => '#none'];
    }
}
