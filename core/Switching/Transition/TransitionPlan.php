<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Closure;

/**
 * A transition, ready to be painted over progress 0..1.
 *
 * In a mix the incoming picture is laid over the outgoing one with rising
 * opacity (source-over, W3C Compositing and Blending Level 1), so that the
 * result is outgoing·(1-e) + incoming·e at every pixel.
 */
final readonly class TransitionPlan
{
    /** A dip goes through this, unless another colour is chosen. */
    public const DIP = '#000000';

    /** Where a clip covers everything, unless something else is said; thousandths. */
    public const MIDDLE = 500;

    /** Before and after the cut under a clip, of its length. */
    private const SOUND = 0.05;

    /** @param  array<string, Track>  $tracks by "target.property" */
    private function __construct(private array $tracks, public ?Reveal $reveal = null, public ?string $colour = null, public ?string $clip = null)
    {
    }

    /**
     * @param  int  $soft  thousandths, see Reveal
     * @param  string  $colour  of a dip
     */
    public static function of(TransitionKind $kind, Easing $easing = Easing::EaseInOut, int $soft = Reveal::SOFT, string $colour = self::DIP): self
    {
        $eased = $easing->curve()->at(...);
        $sound = [
            Track::along('outgoing', 'gain', fn (float $p): float => 1.0 - $eased($p)),
            Track::along('incoming', 'gain', $eased),
        ];
        $reveal = Reveal::of($kind, $soft);

        return match (true) {
            $kind === TransitionKind::Mix => self::from([...$sound, Track::along('incoming', 'opacity', $eased)]),
            $kind === TransitionKind::Glide => self::from([...$sound, Track::along('incoming', 'opacity', $eased), Track::along('windows', 'way', $eased)]),
            $kind === TransitionKind::Clip => self::under(null, self::MIDDLE),
            $kind === TransitionKind::Dip => self::dip($eased, $colour),
            $reveal !== null => self::from([...$sound, Track::along('incoming', 'edge', $eased)], $reveal),
            default => self::from([...$sound, ...self::travel($kind, $eased)]),
        };
    }

    /**
     * A cut under a clip; the sounds change about then.
     *
     * @param  ?string  $clip  source id
     * @param  int  $mark  when the cut is, in thousandths of the clip
     */
    public static function under(?string $clip, int $mark): self
    {
        $at = $mark / 1000;
        [$begins, $ends] = [max(0.0, $at - self::SOUND), min(1.0, $at + self::SOUND)];
        $plan = self::from([
            Track::change('incoming', 'opacity', 0.0, 1.0, $at, $at),
            Track::change('outgoing', 'gain', 1.0, 0.0, $begins, $ends),
            Track::change('incoming', 'gain', 0.0, 1.0, $begins, $ends),
        ]);

        return new self($plan->tracks, clip: $clip);
    }

    /** What has to be painted and heard at a progress between 0 and 1. */
    public function at(float $progress): Blend
    {
        $values = Blend::REST;
        foreach ($this->tracks as $name => $track) {
            $values[$name] = $track->at($progress);
        }

        return new Blend($values);
    }

    /** @return array{tracks: list<array<string, mixed>>, reveal: ?array<string, mixed>, colour: ?string, clip: ?string} */
    public function toArray(): array
    {
        return [
            'tracks' => array_values(array_map(fn (Track $track): array => $track->toArray(), $this->tracks)),
            'reveal' => $this->reveal?->toArray(),
            'colour' => $this->colour,
            'clip' => $this->clip,
        ];
    }

    /**
     * Up to the middle the old picture goes down into the colour, then the new one comes up out of it.
     *
     * @param  Closure(float): float  $eased
     */
    private static function dip(Closure $eased, string $colour): self
    {
        return self::from([
            Track::along('colour', 'opacity', fn (float $p): float => 1 - abs(2 * $eased($p) - 1)),
            Track::along('incoming', 'opacity', fn (float $p): float => $eased($p) < 0.5 ? 0.0 : 1.0),
            Track::along('outgoing', 'gain', fn (float $p): float => max(0.0, 1 - 2 * $eased($p))),
            Track::along('incoming', 'gain', fn (float $p): float => max(0.0, 2 * $eased($p) - 1)),
        ], colour: $colour);
    }

    /**
     * The new picture comes in from the side; in a push the old one goes out before it.
     *
     * @param  Closure(float): float  $eased
     * @return list<Track>
     */
    private static function travel(TransitionKind $kind, Closure $eased): array
    {
        [$across, $down] = $kind->direction();
        $tracks = [];
        foreach (['x' => $across, 'y' => $down] as $axis => $way) {
            if ($way !== 0) {
                $tracks[] = Track::along('incoming', $axis, fn (float $p): float => $way * ($eased($p) - 1));
            }
            if ($way !== 0 && str_starts_with($kind->value, 'push')) {
                $tracks[] = Track::along('outgoing', $axis, fn (float $p): float => $way * $eased($p));
            }
        }

        return $tracks;
    }

    /** @param  list<Track>  $tracks */
    private static function from(array $tracks, ?Reveal $reveal = null, ?string $colour = null): self
    {
        $named = [];
        foreach ($tracks as $track) {
            $named["{$track->target}.{$track->property}"] = $track;
        }

        return new self($named, $reveal, $colour);
    }
}
