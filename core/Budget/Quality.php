<?php

declare(strict_types=1);

namespace Rhetorix\Core\Budget;

/**
 * What is given up when frames run late, step by step, so that program and
 * sound go on: first the miniatures, then preview, then the size of what is
 * captured; the rate of program only when nothing else is left; the sound
 * never.
 */
final class Quality
{
    /** Miniatures a second, passes from one painting of preview to the next, most lines of a capture, and the share of program's rate. */
    private const STEPS = [
        [8, 1, null, 1.0],
        [4, 1, null, 1.0],
        [2, 1, null, 1.0],
        [1, 2, null, 1.0],
        [1, 4, null, 1.0],
        [1, 4, 720, 1.0],
        [1, 4, 480, 1.0],
        [1, 4, 360, 1.0],
        [1, 4, 360, 0.5],
    ];

    public static function last(): int
    {
        return count(self::STEPS) - 1;
    }

    /** @return array{level: int, miniatures: int, preview_every: int, lines: ?int, rate: float, said: string} */
    public static function at(int $level): array
    {
        $level = max(0, min(self::last(), $level));
        [$miniatures, $every, $lines, $rate] = self::STEPS[$level];

        return ['level' => $level, 'miniatures' => $miniatures, 'preview_every' => $every, 'lines' => $lines, 'rate' => $rate, 'said' => self::said($level)];
    }

    private static function said(int $level): string
    {
        [$miniatures, $every, $lines, $rate] = self::STEPS[$level];
        $words = array_filter([
            $miniatures < 8 ? ($miniatures === 1 ? 'miniatures once a second' : "miniatures {$miniatures} times a second") : null,
            match ($every) {
                1 => null,
                2 => 'preview at half its rate',
                default => 'preview at a quarter of its rate',
            },
            $lines === null ? null : "cameras at {$lines} lines",
            $rate < 1.0 ? 'program at half its rate' : null,
        ]);

        return $words === [] ? 'everything as chosen' : implode(', ', $words);
    }
}
