<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Sound\Decibels;
use Rhetorix\Core\Sound\Strip;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\ChooseTransition;
use Rhetorix\Core\Switching\Command\Command;
use Rhetorix\Core\Switching\Command\Handle;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\SetStrip;
use Rhetorix\Core\Switching\Command\TurnPage;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Rules\Rulebook;
use Rhetorix\Core\Switching\Rules\Showing;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\FrameRate;
use Rhetorix\Core\Time\Instant;

/**
 * The live state of a show: what is on program, what is next, a transition
 * under way, whether program is covered, the strips of the main mix, and what
 * was done to sources by hand.
 * Immutable; a command makes a new one.
 */
final readonly class Desk
{
    /** The holding picture: always there, never deleted. */
    public const HOLDING = 'holding';

    private const AT_START = [
        'program' => self::HOLDING,
        'preview' => null,
        'flight' => null,
        'from' => null,
        'to' => null,
        'kind' => null,
        'duration' => null,
        'started' => null,
        'queued' => null,
        'queued_to' => null,
        'queued_kind' => null,
        'queued_duration' => null,
        'covered' => false,
    ];

    /** @param  array<string, Strip>  $strips by source id */
    private function __construct(
        private Registers $registers,
        public Transition $chosen,
        private array $strips,
        public Handlings $handlings,
    ) {
    }

    /** The holding picture is on program, and nothing is next. */
    public static function empty(): self
    {
        return new self(new Registers(self::AT_START), Transition::usual(), [], Handlings::none());
    }

    public function program(): string
    {
        return (string) $this->registers->desk['program'];
    }

    public function preview(): ?string
    {
        return $this->name('preview');
    }

    public function isCovered(): bool
    {
        return $this->registers->desk['covered'] === true;
    }

    /** The transition under way, or null. */
    public function flight(): ?Flight
    {
        return $this->name('flight') === null ? null : Flight::fromRegisters($this->registers);
    }

    /** Which pictures the audience sees, and whether it hears anything. */
    public function showing(): Showing
    {
        return Showing::in($this->registers);
    }

    /** @return list<string> ids of the pictures that the audience sees, outgoing first */
    public function onAir(): array
    {
        return array_map(
            fn (string $name): string => $name === self::HOLDING ? self::HOLDING : (string) $this->name($name),
            $this->showing()->pictures,
        );
    }

    public function strip(string $source): Strip
    {
        return $this->strips[$source] ?? Strip::open();
    }

    /**
     * The desk after a command at a moment. Transitions that ended before the
     * moment are ended first, each at its own time.
     *
     * @throws Refusal when the command would take away what is on air
     */
    public function apply(Command $command, Instant $at): Outcome
    {
        $settled = $this->settled($at);

        $outcome = match (true) {
            $command instanceof Press => $settled->desk->press($command, $at),
            $command instanceof ChooseTransition => new Outcome(
                $settled->desk->but(chosen: $command->transition),
                [new DeskEvent($at, ChooseTransition::NAME, null, $command->transition->label())],
            ),
            $command instanceof SetStrip => $settled->desk->setStrip($command, $at),
            $command instanceof Handle => $settled->desk->handle($command, $at),
            $command instanceof TurnPage => $settled->desk->turnPage($command, $at),
            default => throw new Refusal('The desk does not know this command.'),
        };

        return new Outcome($outcome->desk, [...$settled->events, ...$outcome->events]);
    }

    /** The desk as it is at a moment: what has run its time has arrived. */
    public function settled(Instant $at): Outcome
    {
        $desk = $this;
        $events = [];
        while (($flight = $desk->flight()) !== null && ! $at->isBefore($flight->ends())) {
            $arrived = $desk->run(Rulebook::ARRIVAL, $desk->registers, $flight->ends(), $flight->to);
            $desk = $arrived->desk;
            $events = [...$events, ...$arrived->events];
        }

        return new Outcome($desk, $events);
    }

    /** @return array<string, mixed> as stored and as sent */
    public function toArray(): array
    {
        return [
            ...$this->registers->desk,
            'chosen' => $this->chosen->toArray(),
            'strips' => (object) array_map(fn (Strip $strip): array => $strip->toArray(), $this->strips),
            ...$this->handlings->toArray(),
        ];
    }

    /** @param  mixed  $data made by toArray() */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'desk');
        $registers = [];
        foreach (self::AT_START as $name => $default) {
            $value = $fields->all()[$name] ?? $default;
            $registers[$name] = is_scalar($value) && ! is_float($value) ? $value : $default;
        }
        $strips = [];
        foreach ((array) ($fields->all()['strips'] ?? []) as $source => $strip) {
            $strip = Fields::of($strip, 'strips');
            $strips[(string) $source] = new Strip(new Decibels($strip->number('level', -1000, 1000)), $strip->boolean('muted'));
        }

        return new self(new Registers($registers), Transition::fromFields($fields->object('chosen'), new FrameRate(30)), $strips, Handlings::fromFields($fields));
    }

    private function press(Press $press, Instant $at): Outcome
    {
        if ($press->action === Action::Forget && in_array($press->picture, [$this->program(), $this->name('to'), $this->name('queued_to')], true)) {
            throw new Refusal('This picture is on program. Take another one first; then it can be deleted.');
        }
        $transition = $press->transition ?? $this->chosen;
        $registers = new Registers($this->registers->desk, [
            'id' => $press->id(),
            'picture' => $press->picture,
            'kind' => $transition->kind->value,
            'duration' => $transition->duration->count,
            'now' => $at->ms,
        ]);

        return $this->run($press->action->value, $registers, $at, $press->picture);
    }

    private function run(string $command, Registers $registers, Instant $at, ?string $subject): Outcome
    {
        $rule = Rulebook::standard()->ruleFor($command, $registers);
        if ($rule->result === Rulebook::NOTHING) {
            return new Outcome($this, []);
        }
        $after = $this->but(registers: new Registers($registers->with($rule->set)->desk));
        $detail = $rule->result === 'transition' ? $after->flight()?->label() : null;

        return new Outcome($after, [new DeskEvent($at, $rule->result, $rule->result === 'transition' ? $after->name('to') : $subject, $detail)]);
    }

    private function setStrip(SetStrip $command, Instant $at): Outcome
    {
        $strip = $this->strip($command->source);
        $strip = $command->level === null ? $strip : $strip->withLevel($command->level);
        $strip = $command->muted === null ? $strip : $strip->withMuted($command->muted);
        $detail = $strip->muted ? 'muted' : sprintf('%+.1f dB', $strip->level->value);

        return new Outcome(
            $this->but(strips: [...$this->strips, $command->source => $strip]),
            [new DeskEvent($at, SetStrip::NAME, $command->source, $detail)],
        );
    }

    private function handle(Handle $command, Instant $at): Outcome
    {
        $before = $this->handlings->of($command->source);
        $after = $command->applied($before, $at);
        $said = Handle::said($before, $after);

        return $said === '' ? new Outcome($this, []) : new Outcome(
            $this->but(handlings: $this->handlings->with($command->source, $after)),
            [new DeskEvent($at, Handle::NAME, $command->source, $said)],
        );
    }

    private function turnPage(TurnPage $command, Instant $at): Outcome
    {
        if ($this->handlings->position($command->group) === $command->position) {
            return new Outcome($this, []);
        }

        return new Outcome(
            $this->but(handlings: $this->handlings->turned($command->group, $command->position)),
            [new DeskEvent($at, TurnPage::NAME, $command->group, (string) $command->position)],
        );
    }

    /** @param  ?array<string, Strip>  $strips */
    private function but(?Registers $registers = null, ?Transition $chosen = null, ?array $strips = null, ?Handlings $handlings = null): self
    {
        return new self($registers ?? $this->registers, $chosen ?? $this->chosen, $strips ?? $this->strips, $handlings ?? $this->handlings);
    }

    private function name(string $register): ?string
    {
        $value = $this->registers->desk[$register];

        return is_string($value) ? $value : null;
    }
}
