<?php

declare(strict_types=1);

namespace Rhetorix\Core\Budget;

/**
 * What the chosen sizes and rates will cost on a measured computer, and what
 * to lower when it is too much.
 *
 * The painter does one thing after the other, so its work adds up:
 * busy = rate x pass + sum of each feed's rate x (each + megapixels x copy),
 * as a share of a second. How near this comes is measured in bin/bench.
 */
final readonly class Forecast
{
    /** Above this the painter begins to be late: other work of the browser comes in between. Measured in bin/bench. */
    public const HOLDS = 0.75;

    /** And above this it cannot keep its rate. */
    public const FULL = 0.95;

    /** Lines to go down to, in common use. */
    private const LINES = [1080, 720, 480, 360];

    /** @param  list<Feed>  $feeds */
    public function __construct(private Computer $computer, private array $feeds, private float $rate)
    {
    }

    /** Share of the painter's time, 0 idle; above 1 it is more than there is. */
    public function busy(): float
    {
        return $this->rate * $this->computer->pass / 1000 + array_sum(array_map($this->costOf(...), $this->feeds));
    }

    /** Share of the painter's time that one feed takes. */
    public function costOf(Feed $feed): float
    {
        $frame = $feed->coded ? $this->computer->each + $feed->megapixels() * $this->computer->copy : 0.0;

        return $feed->rate * $frame / 1000;
    }

    /** Share of one core that is needed beside the painter for looks. */
    public function besides(): float
    {
        return array_sum(array_map(fn (Feed $feed): float => $feed->looked ? $feed->rate * min(0.93, $feed->megapixels()) * $this->computer->look / 1000 : 0.0, $this->feeds));
    }

    /** Frames a second that program will have. */
    public function programRate(): float
    {
        $busy = $this->busy();

        return $busy <= self::FULL ? $this->rate : $this->rate * self::FULL / $busy;
    }

    public function holds(): bool
    {
        return $this->busy() <= self::HOLDS && $this->besides() <= 1.0;
    }

    /**
     * Sizes to lower until it holds, what saves most first.
     *
     * @return list<array{source: string, name: string, width: int, height: int, saves: float}>
     */
    public function advice(): array
    {
        $feeds = $this->feeds;
        $advice = [];
        while (! (new self($this->computer, $feeds, $this->rate))->holds()) {
            $best = null;
            foreach ($feeds as $i => $feed) {
                $lower = $this->lowered($feed);
                $saves = $lower === null ? 0.0 : $this->costOf($feed) - $this->costOf($lower) + ($feed->looked ? 0.001 : 0.0);
                if ($lower !== null && $saves > 0.0 && ($best === null || $saves > $best[2])) {
                    $best = [$i, $lower, $saves];
                }
            }
            if ($best === null) {
                break;
            }
            [$i, $lower, $saves] = $best;
            $feeds = [...array_slice($feeds, 0, $i), $lower, ...array_slice($feeds, $i + 1)];
            $advice[$lower->id] = [
                'source' => $lower->id,
                'name' => $lower->name,
                'width' => (int) $lower->size->width,
                'height' => (int) $lower->size->height,
                'saves' => $saves + ($advice[$lower->id]['saves'] ?? 0.0),
            ];
        }

        return array_values($advice);
    }

    public function sentence(): string
    {
        $busy = (int) round(100 * $this->busy());

        return match (true) {
            $this->holds() => "This computer holds it: its painter will be {$busy} % busy.",
            $this->busy() <= self::HOLDS => 'Colours and keys together are more than this computer can do beside painting: they will lag behind.',
            $this->busy() <= self::FULL => "It will be tight: the painter will be {$busy} % busy, and frames may come late.",
            default => sprintf('It is too much: program would fall to about %.0f frames a second.', $this->programRate()),
        };
    }

    private function lowered(Feed $feed): ?Feed
    {
        foreach (self::LINES as $lines) {
            if ($feed->adjustable && $lines < $feed->size->height) {
                return $feed->withLines($lines);
            }
        }

        return null;
    }
}
