<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/**
 * The edge behind which the incoming picture shows in a wipe.
 *
 * Each point of the canvas has a place t between 0 (shown first) and 1 (shown
 * last): along a line, by its distance from the middle, or by its angle from
 * twelve o'clock, clockwise. The incoming picture has the opacity
 * (edge·(1 + soft) - t) / soft there, held between 0 and 1.
 */
final readonly class Reveal
{
    /** Thousandths: as soft as an edge is unless something else is chosen. */
    public const SOFT = 20;

    public const HARDEST = 1;

    public const SOFTEST = 500;

    /**
     * @param  'line'|'circle'|'clock'  $by
     * @param  array{float, float, float, float}  $line  from where t is 0 to where it is 1, as fractions of the width and height; for a line
     * @param  float  $soft  width of the soft edge in t
     */
    private function __construct(public string $by, public array $line, public float $soft)
    {
    }

    /** @param  int  $soft  width of the soft edge in thousandths of t, HARDEST to SOFTEST */
    public static function of(TransitionKind $kind, int $soft = self::SOFT): ?self
    {
        $soft = max(self::HARDEST, min(self::SOFTEST, $soft)) / 1000;
        $line = fn (float ...$ends): self => new self('line', [$ends[0], $ends[1], $ends[2], $ends[3]], $soft);

        return match ($kind) {
            TransitionKind::WipeRight => $line(0, 0, 1, 0),
            TransitionKind::WipeLeft => $line(1, 0, 0, 0),
            TransitionKind::WipeDown => $line(0, 0, 0, 1),
            TransitionKind::WipeUp => $line(0, 1, 0, 0),
            TransitionKind::WipeDiagonal => $line(0, 0, 1, 1),
            TransitionKind::WipeIris => new self('circle', [0.5, 0.5, 0.5, 0.5], $soft),
            TransitionKind::WipeClock => new self('clock', [0.5, 0.5, 0.5, 0.5], $soft),
            default => null,
        };
    }

    /** Opacity of the incoming picture at a point given in pixels of a canvas. */
    public function opacityAt(float $x, float $y, float $width, float $height, float $edge): float
    {
        return max(0.0, min(1.0, ($edge * (1 + $this->soft) - $this->placeOf($x, $y, $width, $height)) / $this->soft));
    }

    /** @return array{by: string, line: array{float, float, float, float}, soft: float} */
    public function toArray(): array
    {
        return ['by' => $this->by, 'line' => $this->line, 'soft' => $this->soft];
    }

    private function placeOf(float $x, float $y, float $width, float $height): float
    {
        if ($this->by === 'circle') {
            return hypot($x - $width / 2, $y - $height / 2) / hypot($width / 2, $height / 2);
        }
        if ($this->by === 'clock') {
            $angle = atan2($x - $width / 2, $height / 2 - $y);

            return ($angle < 0 ? $angle + 2 * M_PI : $angle) / (2 * M_PI);
        }
        [$fromX, $fromY] = [$this->line[0] * $width, $this->line[1] * $height];
        [$alongX, $alongY] = [$this->line[2] * $width - $fromX, $this->line[3] * $height - $fromY];

        return (($x - $fromX) * $alongX + ($y - $fromY) * $alongY) / ($alongX ** 2 + $alongY ** 2);
    }
}
