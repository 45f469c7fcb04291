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
 * stays what it was until the flight is over. "heading" says how the flight
 * moves: "on" or "back" by the clock, "hand" by the fader; it was at "reached"
 * (thousandths) when it "started". "way" is where the fader goes next.
 */
final class Rulebook
{
    private static ?self $standard = null;

    public const NOTHING = 'nothing';

    /** Something changed that needs no line in the as-run list of its own. */
    public const QUIET = 'quiet';

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
            ...self::back(), ...FaderRules::all(), ...self::arrival(), ...self::cover(), ...self::forget(), ...InsetRules::all(),
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
            new Rule('arm', [], ['preview' => '@picture', 'before' => 'preview'], 'arm'),
            // What was next before the last arming comes back; pressed again, the other way round.
            new Rule('unarm', [Condition::is('before', '#none')], [], self::NOTHING),
            new Rule('unarm', [], ['preview' => 'before', 'before' => 'preview'], 'unarm'),
        ];
    }

    /** @return list<Rule> */
    private static function cut(): array
    {
        return [
            new Rule('cut', [self::atRest(), Condition::is('program', '@picture')], [], self::NOTHING),
            new Rule('cut', [self::atRest()], ['program' => '@picture', 'preview' => 'program', 'before' => '#none'], 'cut'),
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
            new Rule('direct', [self::atRest(), Condition::is('preview', '@picture')], ['program' => '@picture', 'preview' => 'program', 'before' => '#none'], 'cut'),
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
                ...self::departure('@id', '@picture', '@kind', '@duration'), 'from' => 'program', 'started' => '@now',
                'heading' => "#'on'", 'reached' => '#start', 'preview' => '@picture', 'before' => '#none',
            ], 'transition'),
            // Pressed again for the picture that is coming: it goes on coming, and nothing follows it.
            new Rule('take', [self::comes(), self::isOn(), Condition::is('queued', '#none')], [], self::NOTHING),
            new Rule('take', [self::comes(), self::isOn()], self::nothingQueued(), 'goes-on'),
            // It stood in somebody's hand or went back: it goes on from where it is.
            new Rule('take', [self::comes()], [...self::byClock("#'on'"), ...self::nothingQueued()], 'goes-on'),
            // The outgoing picture, while the new one stands half way or goes already: back to it.
            new Rule('take', [Condition::is('from', '@picture'), Condition::is('heading', "#'hand'")], [...self::byClock("#'back'"), ...self::nothingQueued()], 'goes-back'),
            new Rule('take', [Condition::is('from', '@picture'), Condition::is('heading', "#'back'")], [], self::NOTHING),
            // Another picture waits until this transition is over: never a jump.
            new Rule('take', [self::isOn()], [...self::queue(), 'preview' => '@picture', 'before' => '#none'], 'waits'),
            new Rule('take', [], [...self::byClock("#'on'"), ...self::queue(), 'preview' => '@picture', 'before' => '#none'], 'waits'),
        ];
    }

    /**
     * The clock takes a flight back to where it came from; what waited for its end is forgotten.
     *
     * @return list<Rule>
     */
    private static function back(): array
    {
        return [
            new Rule('back', [self::atRest()], [], self::NOTHING),
            new Rule('back', [Condition::is('heading', "#'back'")], [], self::NOTHING),
            new Rule('back', [], [...self::byClock("#'back'"), ...self::nothingQueued()], 'goes-back'),
        ];
    }

    /** @return list<Rule> */
    private static function arrival(): array
    {
        return [
            new Rule(self::ARRIVAL, [Condition::is('heading', "#'back'")], self::landed(), 'came-back'),
            ...self::completed(self::ARRIVAL, [], '@end', 'arrived'),
        ];
    }

    /**
     * The incoming picture is alone on program, and the fader stands at its other end.
     *
     * @param  list<Condition>  $when
     * @param  string  $now  the moment
     * @return list<Rule>
     */
    public static function completed(string $command, array $when, string $now, string $result): array
    {
        return [
            new Rule($command, [...$when, Condition::isNot('queued', '#none')], [
                ...self::departure('queued', 'queued_to', 'queued_kind', 'queued_duration'),
                'program' => 'to', 'from' => 'to', 'started' => $now, 'heading' => "#'on'", 'reached' => '#start',
                'holder' => '#none', 'holder_until' => '#none', 'way' => '@other-way', ...self::nothingQueued(),
            ], 'transition'),
            new Rule($command, [...$when, Condition::is('preview', 'to')], ['program' => 'to', 'preview' => 'from', 'way' => '@other-way', ...self::landed()], $result),
            new Rule($command, $when, ['program' => 'to', 'way' => '@other-way', ...self::landed()], $result),
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
            new Rule('forget', [Condition::is('preview', '@picture')], ['preview' => '#none', 'before' => '#none'], 'forget'),
            new Rule('forget', [Condition::is('before', '@picture')], ['before' => '#none'], self::QUIET),
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

    public static function atRest(): Condition
    {
        return Condition::is('flight', '#none');
    }

    private static function comes(): Condition
    {
        return Condition::is('to', '@picture');
    }

    private static function isOn(): Condition
    {
        return Condition::is('heading', "#'on'");
    }

    /** @return array<string, string> */
    public static function departure(string $id, string $to, string $kind, string $duration): array
    {
        return ['flight' => $id, 'to' => $to, 'kind' => $kind, 'duration' => $duration];
    }

    /** @return array<string, string> the clock moves it from where it is now */
    private static function byClock(string $heading): array
    {
        return ['heading' => $heading, 'reached' => '@reached', 'started' => '@now', 'holder' => '#none', 'holder_until' => '#none'];
    }

    /** @return array<string, string> */
    private static function queue(): array
    {
        return ['queued' => '@id', 'queued_to' => '@picture', 'queued_kind' => '@kind', 'queued_duration' => '@duration'];
    }

    /** @return array<string, string> */
    public static function landed(): array
    {
        return [
            'flight' => '#none', 'from' => '#none', 'to' => '#none',
            'kind' => '#none', 'duration' => '#none', 'started' => '#none',
            'heading' => '#none', 'reached' => '#none', 'holder' => '#none', 'holder_until' => '#none',
            ...self::nothingQueued(),
        ];
    }

    /** @return array<string, string> */
    private static function nothingQueued(): array
    {
        return ['queued' => '#none', 'queued_to' => '#none', 'queued_kind' => '#none', 'queued_duration' => '#none'];
    }
}
