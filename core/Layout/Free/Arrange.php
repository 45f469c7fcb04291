<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Free;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Support\BadInput;

/** Puts several windows in order: the last one that was chosen stays, and the others follow it. */
enum Arrange: string
{
    case Left = 'left';
    case Centre = 'centre';
    case Right = 'right';
    case Top = 'top';
    case Middle = 'middle';
    case Bottom = 'bottom';
    case Across = 'across';
    case Down = 'down';
    case SameSize = 'same-size';

    public function label(): string
    {
        return match ($this) {
            self::Left => 'Left edges in line',
            self::Centre => 'Middles in an upright line',
            self::Right => 'Right edges in line',
            self::Top => 'Top edges in line',
            self::Middle => 'Middles in a level line',
            self::Bottom => 'Bottom edges in line',
            self::Across => 'Equal gaps across',
            self::Down => 'Equal gaps down',
            self::SameSize => 'Same size',
        };
    }

    /**
     * @param  array<string, Rect>  $rects  by slot, in the order in which they were chosen
     * @return array<string, Rect>
     *
     * @throws BadInput when there are too few
     */
    public function of(array $rects): array
    {
        $least = $this === self::Across || $this === self::Down ? 3 : 2;
        if (count($rects) < $least) {
            throw BadInput::outOfRange('windows', "at least {$least} windows; choose more of them with Shift");
        }
        $stays = $rects[array_key_last($rects)];

        return match ($this) {
            self::Across => self::spread($rects, true),
            self::Down => self::spread($rects, false),
            default => array_map(fn (Rect $rect): Rect => $this->follow($rect, $stays), $rects),
        };
    }

    private function follow(Rect $rect, Rect $stays): Rect
    {
        return match ($this) {
            self::Left => new Rect($stays->x, $rect->y, $rect->width, $rect->height),
            self::Centre => new Rect($stays->x + ($stays->width - $rect->width) / 2, $rect->y, $rect->width, $rect->height),
            self::Right => new Rect($stays->right() - $rect->width, $rect->y, $rect->width, $rect->height),
            self::Top => new Rect($rect->x, $stays->y, $rect->width, $rect->height),
            self::Middle => new Rect($rect->x, $stays->y + ($stays->height - $rect->height) / 2, $rect->width, $rect->height),
            self::Bottom => new Rect($rect->x, $stays->bottom() - $rect->height, $rect->width, $rect->height),
            default => new Rect($rect->x + ($rect->width - $stays->width) / 2, $rect->y + ($rect->height - $stays->height) / 2, $stays->width, $stays->height),
        };
    }

    /**
     * The outermost stay; between all of them the gaps become equal.
     *
     * @param  array<string, Rect>  $rects
     * @return array<string, Rect>
     */
    private static function spread(array $rects, bool $across): array
    {
        $from = fn (Rect $rect): float => $across ? $rect->x : $rect->y;
        $long = fn (Rect $rect): float => $across ? $rect->width : $rect->height;
        uasort($rects, fn (Rect $a, Rect $b): int => $from($a) + $long($a) / 2 <=> $from($b) + $long($b) / 2);
        $list = array_values($rects);
        $last = $list[count($list) - 1];
        $gap = ($from($last) + $long($last) - $from($list[0]) - array_sum(array_map($long, $list))) / (count($list) - 1);
        $at = $from($list[0]);
        foreach ($rects as $slot => $rect) {
            $rects[$slot] = $across ? new Rect($at, $rect->y, $rect->width, $rect->height) : new Rect($rect->x, $at, $rect->width, $rect->height);
            $at += $long($rect) + $gap;
        }

        return $rects;
    }
}
