<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Sound\Strip;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\ChooseTransition;
use Rhetorix\Core\Switching\Command\Command;
use Rhetorix\Core\Switching\Command\Handle;
use Rhetorix\Core\Switching\Command\KeepFavourites;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\Replace;
use Rhetorix\Core\Switching\Command\SetStrip;
use Rhetorix\Core\Switching\Command\TurnPage;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Rules\Rulebook;
use Rhetorix\Core\Switching\Rules\Showing;
use Rhetorix\Core\Switching\Transition\Transition;
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

    /** Registers that name a picture. */
    private const PICTURES = ['program', 'preview', 'from', 'to', 'queued_to', 'before'];

    /** So many programs are remembered for the way back. */
    public const PAST = 10;

    /**
     * @param  list<Transition>  $favourites
     * @param  array<string, Strip>  $strips by source id
     * @param  list<string>  $past  pictures that were on program, the latest first
     */
    private function __construct(
        private Registers $registers,
        public Transition $chosen,
        public array $favourites,
        private array $strips,
        public Handlings $handlings,
        public array $past,
    ) {
    }

    /** The holding picture is on program, and nothing is next. */
    public static function empty(Size $canvas = new Size(1280, 720)): self
    {
        return new self(new Registers(StoredDesk::atStart($canvas)), Transition::usual(), Transition::favourites(), [], Handlings::none(), []);
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

    /** The inset as the audience sees it; null while it is off or program is covered. */
    public function inset(Size $canvas, Instant $at): ?Inset
    {
        return $this->showing()->inset ? Inset::in($this->registers, $canvas, $at) : null;
    }

    /** Whom the inset shows, whether it is on or not. */
    public function insetSource(): ?string
    {
        return $this->name('inset_source');
    }

    /** @return list<string> ids of the pictures that the audience sees, outgoing first */
    public function onAir(): array
    {
        return array_map(
            fn (string $name): string => $name === self::HOLDING ? self::HOLDING : (string) $this->name($name),
            $this->showing()->pictures,
        );
    }

    /** Whether a picture is on program or preview, comes or waits. */
    public function has(string $picture): bool
    {
        return in_array($picture, array_map($this->name(...), self::PICTURES), true);
    }

    /** Whether a picture is on program, or on its way there or from there. */
    public function isOnProgram(string $picture): bool
    {
        return in_array($picture, [$this->program(), $this->name('from'), $this->name('to'), $this->name('queued_to')], true);
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
            $command instanceof KeepFavourites => new Outcome(
                $settled->desk->but(favourites: $command->transitions),
                [new DeskEvent($at, KeepFavourites::NAME, null, implode(', ', array_map(fn (Transition $each): string => $each->label(), $command->transitions)))],
            ),
            $command instanceof SetStrip => $settled->desk->setStrip($command, $at),
            $command instanceof Handle => $settled->desk->handle($command, $at),
            $command instanceof TurnPage => $settled->desk->turnPage($command, $at),
            $command instanceof Replace => new Outcome($settled->desk->replace($command), []),
            default => throw new Refusal('The desk does not know this command.'),
        };

        return new Outcome($outcome->desk, [...$settled->events, ...$outcome->events]);
    }

    /** The desk as it is at a moment: what has run its time has arrived. */
    public function settled(Instant $at): Outcome
    {
        $desk = $this;
        $events = [];
        while (($flight = $desk->flight()) !== null && ($end = $flight->ends()) !== null && ! $at->isBefore($end)) {
            $arrived = $desk->run(Rulebook::ARRIVAL, $desk->registers, $end, $flight->isGoingBack() ? $flight->from : $flight->to);
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
            'favourites' => array_map(fn (Transition $each): array => $each->toArray(), $this->favourites),
            'past' => $this->past,
            'strips' => (object) array_map(fn (Strip $strip): array => $strip->toArray(), $this->strips),
            ...$this->handlings->toArray(),
        ];
    }

    /** @param  mixed  $data made by toArray() */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'desk');
        $stored = new StoredDesk($fields);

        return new self($stored->registers(), $stored->chosen(), $stored->favourites(), $stored->strips(), Handlings::fromFields($fields), $stored->past());
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
            'kind' => $transition->key(),
            'duration' => $transition->duration->count,
            'now' => $at->ms,
            ...is_int($canvas = $press->more['canvas'] ?? null) ? Inset::standing($this->registers->desk, $canvas, $at->ms) : [],
            ...$press->more,
        ]);

        $source = $press->more['source'] ?? null;

        return $this->run($press->action->value, $registers, $at, $press->picture ?? (is_string($source) ? $source : $this->insetSource()));
    }

    private function run(string $command, Registers $registers, Instant $at, ?string $subject): Outcome
    {
        $rule = Rulebook::standard()->ruleFor($command, $registers);
        if ($rule->result === Rulebook::NOTHING) {
            return new Outcome($this, []);
        }
        $after = $this->but(registers: new Registers($registers->with($rule->set)->desk));
        if ($after->program() !== $this->program()) {
            $after = $after->but(past: self::remembered($this->program(), $this->past));
        }

        return new Outcome($after, $rule->result === Rulebook::QUIET ? [] : [$after->event($rule->result, $at, $subject, $this)]);
    }

    /**
     * @param  list<string>  $past
     * @return list<string> each picture once, the latest first
     */
    private static function remembered(string $program, array $past): array
    {
        return array_slice([$program, ...array_values(array_diff($past, [$program]))], 0, self::PAST);
    }

    private function event(string $result, Instant $at, ?string $subject, self $before): DeskEvent
    {
        return match ($result) {
            'transition' => new DeskEvent($at, $result, $this->name('to'), $this->flight()?->label()),
            'by-hand' => new DeskEvent($at, $result, $this->name('to'), $this->flight()?->transition->kind->label()),
            'goes-back', 'came-back' => new DeskEvent($at, $result, $before->name('from')),
            'goes-on' => new DeskEvent($at, $result, $before->name('to')),
            'arrived' => new DeskEvent($at, $result, $before->name('to')),
            'unarm' => new DeskEvent($at, 'arm', $this->preview()),
            'inset' => new DeskEvent($at, $result, $this->insetSource(), (string) $this->registers->desk['inset']),
            default => new DeskEvent($at, $result, $subject),
        };
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

    private function replace(Replace $command): self
    {
        $registers = $this->registers->desk;
        foreach (self::PICTURES as $name) {
            $registers[$name] = $registers[$name] === $command->picture ? $command->by : $registers[$name];
        }

        return $this->but(registers: new Registers($registers));
    }

    /**
     * @param  ?array<string, Strip>  $strips
     * @param  ?list<Transition>  $favourites
     * @param  ?list<string>  $past
     */
    private function but(?Registers $registers = null, ?Transition $chosen = null, ?array $strips = null, ?Handlings $handlings = null, ?array $favourites = null, ?array $past = null): self
    {
        return new self($registers ?? $this->registers, $chosen ?? $this->chosen, $favourites ?? $this->favourites, $strips ?? $this->strips, $handlings ?? $this->handlings, $past ?? $this->past);
    }

    private function name(string $register): ?string
    {
        $value = $this->registers->desk[$register];

        return is_string($value) ? $value : null;
    }
}
