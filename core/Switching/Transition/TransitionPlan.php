<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/**
 * A transition, ready to be painted over progress 0..1.
 *
 * In a mix the incoming picture is laid over the outgoing one with rising
 * opacity (source-over, W3C Compositing and Blending Level 1), so that the
 * result is outgoing·(1-e) + incoming·e at every pixel.
 */
final readonly class TransitionPlan
{
    /** @param  array<string, Track>  $tracks by "target.property" */
    private function __construct(private array $tracks)
    {
    }

    public static function of(TransitionKind $kind, Easing $easing = Easing::EaseInOut): self
    {
        $curve = $easing->curve();

        return match ($kind) {
            TransitionKind::Mix => self::from(
                Track::along('outgoing', 'opacity', fn (float $p): float => 1.0),
                Track::along('incoming', 'opacity', $curve->at(...)),
                Track::along('outgoing', 'gain', fn (float $p): float => 1.0 - $curve->at($p)),
                Track::along('incoming', 'gain', $curve->at(...)),
            ),
        };
    }

    /** What has to be painted and heard at a progress between 0 and 1. */
    public function at(float $progress): Blend
    {
        return new Blend(
            $this->tracks['outgoing.opacity']->at($progress),
            $this->tracks['incoming.opacity']->at($progress),
            $this->tracks['outgoing.gain']->at($progress),
            $this->tracks['incoming.gain']->at($progress),
        );
    }

    /** @return array{tracks: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['tracks' => array_values(array_map(fn (Track $track): array => $track->toArray(), $this->tracks))];
    }

    private static function from(Track ...$tracks): self
    {
        $named = [];
        foreach ($tracks as $track) {
            $named["{$track->target}.{$track->property}"] = $track;
        }

        return new self($named);
    }
}
