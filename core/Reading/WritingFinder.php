<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

/**
 * Finds lines of writing and how high their letters are. Connected ink makes
 * marks, marks beside each other make lines, and a line that alternates
 * between ink and ground as letters do is taken for writing. Its x-height is
 * the band of rows in which most of the ink lies.
 *
 * The method is common practice of document analysis (connected components
 * and projection profiles); the limits were tuned on pictures of our own.
 */
final class WritingFinder
{
    private const LEAST_HEIGHT = 3;

    /** As a part of the picture's height: what is taller is no letter. */
    private const TALLEST = 0.25;

    /** A row belongs to the x-height when it has this share of the fullest rows' ink. */
    private const BAND = 0.5;

    /** Changes between ink and ground in a stretch as long as the x-height. */
    private const CHANGES = [0.5, 5.0];

    /** @return list<Writing> from top to bottom */
    public static function in(LumaImage $image): array
    {
        $ink = InkMap::of($image);
        $lines = self::lines(self::marks($image, $ink));
        $writing = array_filter(array_map(fn (array $line): ?Writing => self::measured($image, $ink, $line), $lines));
        usort($writing, fn (Writing $a, Writing $b): int => [$a->y, $a->x] <=> [$b->y, $b->x]);

        return $writing;
    }

    /**
     * @return list<array{int, int, int, int}> left, top, right, bottom (the last two beyond) of connected ink
     */
    private static function marks(LumaImage $image, InkMap $ink): array
    {
        $boxes = [];
        $parent = [];
        $above = [];
        for ($y = 0; $y < $image->height; $y++) {
            $here = [];
            $first = 0;
            foreach ($ink->runs($y) as [$from, $to]) {
                while ($first < count($above) && $above[$first][1] < $from) {
                    $first++;
                }
                $touching = [];
                for ($i = $first; $i < count($above) && $above[$i][0] <= $to; $i++) {
                    $touching[self::root($parent, $above[$i][2])] = true;
                }
                $mark = array_key_first($touching);
                if ($mark === null) {
                    $mark = count($parent);
                    $parent[] = $mark;
                    $boxes[$mark] = [$from, $y, $to, $y + 1];
                }
                $boxes[$mark] = self::joined($boxes[$mark], [$from, $y, $to, $y + 1]);
                unset($touching[$mark]);
                foreach (array_keys($touching) as $other) {
                    $parent[$other] = $mark;
                    $boxes[$mark] = self::joined($boxes[$mark], $boxes[$other]);
                    unset($boxes[$other]);
                }
                $here[] = [$from, $to, $mark];
            }
            $above = $here;
        }
        $tallest = self::TALLEST * $image->height;

        return array_values(array_filter($boxes, fn (array $box): bool => $box[3] - $box[1] >= self::LEAST_HEIGHT && $tallest >= $box[3] - $box[1]));
    }

    /** @param  array<int, int>  $parent */
    private static function root(array &$parent, int $mark): int
    {
        while ($parent[$mark] !== $mark) {
            $parent[$mark] = $parent[$parent[$mark]];
            $mark = $parent[$mark];
        }

        return $mark;
    }

    /**
     * @param  list<array{int, int, int, int}>  $marks
     * @return list<array{int, int, int, int, int}> box of each line, and how many marks are in it
     */
    private static function lines(array $marks): array
    {
        usort($marks, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $open = [];
        $done = [];
        foreach ($marks as $mark) {
            $height = $mark[3] - $mark[1];
            $best = null;
            foreach ($open as $i => $line) {
                $lineHeight = $line['last'][3] - $line['last'][1];
                $gap = $mark[0] - $line['box'][2];
                if ($gap > 2.5 * max($height, $lineHeight)) {
                    $done[] = $line;
                    unset($open[$i]);

                    continue;
                }
                $shared = min($mark[3], $line['last'][3]) - max($mark[1], $line['last'][1]);
                $alike = max($height, $lineHeight) <= 2.4 * min($height, $lineHeight);
                if ($alike && $shared >= 0.5 * min($height, $lineHeight) && ($best === null || $gap < $mark[0] - $open[$best]['box'][2])) {
                    $best = $i;
                }
            }
            if ($best === null) {
                $open[] = ['box' => $mark, 'last' => $mark, 'count' => 1];
            } else {
                $open[$best] = ['box' => self::joined($open[$best]['box'], $mark), 'last' => $mark, 'count' => $open[$best]['count'] + 1];
            }
        }

        return array_map(fn (array $line): array => [...$line['box'], $line['count']], [...$done, ...array_values($open)]);
    }

    /** @param  array{int, int, int, int, int}  $line */
    private static function measured(LumaImage $image, InkMap $ink, array $line): ?Writing
    {
        [$left, $top, $right, $bottom, $count] = $line;
        $height = $bottom - $top;
        if ($right - $left < 2.5 * $height || ($count < 3 && $right - $left < 6 * $height)) {
            return null;
        }
        // A row above and below, where the edges of the letters fade out.
        $rows = [];
        for ($y = max(0, $top - 1); $y < min($image->height, $bottom + 1); $y++) {
            $sum = 0.0;
            for ($x = $left; $x < $right; $x++) {
                $sum += $ink->amount($x, $y);
            }
            $rows[$y] = $sum;
        }
        [$from, $to] = self::band($rows);
        $xHeight = $to - $from;
        // A line of writing has quiet above and below it; ink that goes on there is a drawing.
        if ($xHeight < 2.0 || $xHeight < 0.3 * $height || $xHeight > $height + 0.3) {
            return null;
        }
        $changes = 0;
        $middle = (int) (($from + $to) / 2);
        foreach ([$middle - (int) ($xHeight / 4), $middle, $middle + (int) ($xHeight / 4)] as $y) {
            foreach ($ink->runs(max(0, min($image->height - 1, $y))) as [$a, $b]) {
                $changes += $b > $left && $a < $right ? 2 : 0;
            }
        }
        $often = $changes / 3 / ($right - $left) * $xHeight;

        return $often < self::CHANGES[0] || $often > self::CHANGES[1] ? null : new Writing($left, $top, $right - $left, $height, $xHeight);
    }

    /**
     * Where most of the ink lies, to parts of a row.
     *
     * @param  array<int, float>  $rows  ink by row
     * @return array{float, float}
     */
    private static function band(array $rows): array
    {
        $sorted = array_values($rows);
        rsort($sorted);
        // The fullest rows are the serifs or the x-line itself: go by the third of them.
        $limit = self::BAND * $sorted[min(count($sorted) - 1, intdiv(count($sorted), 4))];
        $full = array_keys(array_filter($rows, fn (float $sum): bool => $sum >= $limit));
        if ($full === []) {
            return [0.0, 0.0];
        }
        [$first, $last] = [$full[0], $full[count($full) - 1]];
        $part = fn (int $outside, int $inside): float => isset($rows[$outside]) && $rows[$inside] > $rows[$outside] ? ($rows[$inside] - $limit) / ($rows[$inside] - $rows[$outside]) : 0.5;

        return [$first + 0.5 - $part($first - 1, $first), $last + 0.5 + $part($last + 1, $last)];
    }

    /**
     * @param  array{int, int, int, int}  $a
     * @param  array{int, int, int, int}  $b
     * @return array{int, int, int, int}
     */
    private static function joined(array $a, array $b): array
    {
        return [min($a[0], $b[0]), min($a[1], $b[1]), max($a[2], $b[2]), max($a[3], $b[3])];
    }
}
