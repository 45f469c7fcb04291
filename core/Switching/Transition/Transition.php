<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\FrameRate;
use Rhetorix\Core\Time\Milliseconds;

/**
 * A kind of change, how long it takes, and what can be chosen about it: how it
 * gathers and loses speed, how soft the edge of a wipe is, through which
 * colour a dip goes.
 */
final readonly class Transition
{
    public const SHORTEST_MS = 40;

    public const LONGEST_MS = 10_000;

    private const SEPARATOR = '~';

    /** What is not said in key(). */
    private const EASING = Easing::EaseInOut;

    /**
     * @param  int  $soft  of a wipe's edge, in thousandths of the way that the edge goes; see Reveal
     * @param  string  $colour  of a dip, "#rrggbb"
     * @param  ?string  $clip  source id of the clip that lies over the change
     * @param  int  $mark  when the change happens under it, in thousandths of the clip; 1 to 999
     */
    public function __construct(
        public TransitionKind $kind,
        public Milliseconds $duration,
        public Easing $easing = self::EASING,
        public int $soft = Reveal::SOFT,
        public string $colour = TransitionPlan::DIP,
        public ?string $clip = null,
        public int $mark = TransitionPlan::MIDDLE,
    ) {
        if ($duration->count < self::SHORTEST_MS || $duration->count > self::LONGEST_MS) {
            throw BadInput::outOfRange('transition', 'between 0.04 s and 10 s long; use a cut for less');
        }
    }

    public static function usual(): self
    {
        return new self(TransitionKind::Mix, Milliseconds::of(1000));
    }

    /** How long a clip covers a change: all of it, as far as a transition may last. */
    public static function coveredBy(Milliseconds $clip): Milliseconds
    {
        return Milliseconds::of(max(self::SHORTEST_MS, min(self::LONGEST_MS, $clip->count)));
    }

    /** @return list<self> those that a new show offers at a press */
    public static function favourites(): array
    {
        return [
            self::usual(),
            new self(TransitionKind::Glide, Milliseconds::of(800)),
            new self(TransitionKind::Dip, Milliseconds::of(1500)),
            new self(TransitionKind::WipeRight, Milliseconds::of(1000), soft: 100),
            new self(TransitionKind::PushLeft, Milliseconds::of(700)),
        ];
    }

    /** Reads {kind, duration_ms or frames, easing?, soft?, colour?}; kind may be a key() too. */
    public static function fromFields(Fields $fields, FrameRate $rate): self
    {
        $kind = $fields->string('kind', 60);
        $duration = $fields->has('frames')
            ? $rate->lengthOf($fields->integer('frames', 1, 1200))
            : Milliseconds::of($fields->integer('duration_ms', self::SHORTEST_MS, self::LONGEST_MS));
        $base = str_contains($kind, self::SEPARATOR) ? self::ofKey($kind, $duration) : new self($fields->oneOf('kind', TransitionKind::class), $duration);

        return new self(
            $base->kind,
            $duration,
            $fields->has('easing') ? $fields->oneOf('easing', Easing::class) : $base->easing,
            $fields->has('soft') ? $fields->integer('soft', Reveal::HARDEST, Reveal::SOFTEST) : $base->soft,
            $fields->has('colour') ? $fields->colour('colour') : $base->colour,
            $base->kind === TransitionKind::Clip ? ($base->clip ?? $fields->string('clip', 64)) : null,
            $fields->has('mark') ? $fields->integer('mark', 1, 999) : $base->mark,
        );
    }

    /**
     * From key() and a duration.
     *
     * @throws BadInput when it is none
     */
    public static function ofKey(string $key, Milliseconds $duration): self
    {
        if (preg_match('/^clip~(\d{1,3})~([\w-]{1,64})$/', $key, $parts) === 1) {
            return new self(TransitionKind::Clip, $duration, clip: $parts[2], mark: max(1, (int) $parts[1]));
        }
        [$name, $easing, $soft, $colour] = [...explode(self::SEPARATOR, $key), '', '', ''];
        $kind = TransitionKind::tryFrom($name) ?? throw BadInput::notOneOf('kind', array_column(TransitionKind::cases(), 'value'));
        $more = Fields::of(['easing' => $easing, 'soft' => (int) $soft, 'colour' => $colour], 'kind');

        return $easing === '' ? new self($kind, $duration) : new self($kind, $duration, $more->oneOf('easing', Easing::class), $more->integer('soft', Reveal::HARDEST, Reveal::SOFTEST), $more->colour('colour'));
    }

    /** Names everything but the duration; the bare kind where all the rest is usual or means nothing. */
    public function key(): string
    {
        if ($this->clip !== null) {
            return implode(self::SEPARATOR, [TransitionKind::Clip->value, $this->mark, $this->clip]);
        }
        $soft = $this->kind->isWipe() ? $this->soft : Reveal::SOFT;
        $colour = $this->kind === TransitionKind::Dip ? $this->colour : TransitionPlan::DIP;

        return $this->easing === self::EASING && $soft === Reveal::SOFT && $colour === TransitionPlan::DIP
            ? $this->kind->value
            : implode(self::SEPARATOR, [$this->kind->value, $this->easing->value, $soft, $colour]);
    }

    public function plan(): TransitionPlan
    {
        return $this->clip !== null ? TransitionPlan::under($this->clip, $this->mark) : TransitionPlan::of($this->kind, $this->easing, $this->soft, $this->colour);
    }

    /** What its button says: "Mix 1.0 s". */
    public function label(): string
    {
        return "{$this->kind->label()} {$this->duration->inSeconds()}";
    }

    /** @return array{kind: string, shape: string, duration_ms: int, easing: string, soft: int, colour: string, clip: ?string, mark: int, label: string} kind is key(), shape the bare kind */
    public function toArray(): array
    {
        return [
            'kind' => $this->key(), 'shape' => $this->kind->value, 'duration_ms' => $this->duration->count,
            'easing' => $this->easing->value, 'soft' => $this->soft, 'colour' => $this->colour, 'clip' => $this->clip, 'mark' => $this->mark, 'label' => $this->label(),
        ];
    }
}
