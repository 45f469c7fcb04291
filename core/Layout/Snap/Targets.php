<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Snap;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\SafeArea;
use Rhetorix\Core\Geometry\Size;

/**
 * All lines that one window can come to rest at: the canvas's edges, middle
 * and thirds, its safe areas, the other windows, and equal gaps. They are sent
 * ahead to the editor, which looks them up while the pointer moves.
 */
final readonly class Targets
{
    private const ALL = ['start', 'centre', 'end'];

    private const EDGES = ['start', 'end'];

    /**
     * @param  list<Target>  $x  upright lines
     * @param  list<Target>  $y  level lines
     */
    private function __construct(public array $x, public array $y)
    {
    }

    /** @param  list<Rect>  $others  the other windows */
    public static function on(Size $canvas, array $others): self
    {
        $turned = fn (Rect $rect): Rect => new Rect($rect->y, $rect->x, $rect->height, $rect->width);

        return new self(
            self::along($canvas->asRect(), SafeArea::Title->in($canvas), SafeArea::Action->in($canvas), $others),
            self::along($turned($canvas->asRect()), $turned(SafeArea::Title->in($canvas)), $turned(SafeArea::Action->in($canvas)), array_map($turned, $others)),
        );
    }

    /** @return array{x: list<array<string, mixed>>, y: list<array<string, mixed>>} */
    public function toArray(): array
    {
        $list = fn (Target $target): array => $target->toArray();

        return ['x' => array_map($list, $this->x), 'y' => array_map($list, $this->y)];
    }

    /**
     * The lines across one axis, the most wanted first.
     *
     * @param  list<Rect>  $others
     * @return list<Target>
     */
    private static function along(Rect $canvas, Rect $title, Rect $action, array $others): array
    {
        $lines = [
            self::line($canvas, $canvas->x, self::EDGES, 'edge'),
            self::line($canvas, $canvas->right(), self::EDGES, 'edge'),
            self::line($canvas, $canvas->x + $canvas->width / 2, self::ALL, 'centre'),
        ];
        foreach ($others as $other) {
            foreach ([$other->x, $other->right()] as $at) {
                $lines[] = new Target($at, self::EDGES, 'window', $other->y, $other->bottom());
            }
            $lines[] = new Target($other->x + $other->width / 2, ['centre'], 'window', $other->y, $other->bottom());
        }
        array_push($lines, ...self::gaps($canvas, $others));
        foreach ([$title, $action] as $safe) {
            $lines[] = self::line($canvas, $safe->x, ['start'], 'safe');
            $lines[] = self::line($canvas, $safe->right(), ['end'], 'safe');
        }
        $lines[] = self::line($canvas, $canvas->x + $canvas->width / 3, self::ALL, 'third');
        $lines[] = self::line($canvas, $canvas->x + 2 * $canvas->width / 3, self::ALL, 'third');

        return $lines;
    }

    /**
     * As far away as two others are from each other, in the middle between
     * them, or as far from the far edge as another is from the near one.
     *
     * @param  list<Rect>  $others
     * @return list<Target>
     */
    private static function gaps(Rect $canvas, array $others): array
    {
        $gaps = [];
        foreach ($others as $first) {
            $margin = $first->x - $canvas->x;
            if ($margin > 0 && $margin < $canvas->width / 4) {
                $gaps[] = new Target($canvas->right() - $margin, ['end'], 'gap', $first->y, $first->bottom());
            }
            $margin = $canvas->right() - $first->right();
            if ($margin > 0 && $margin < $canvas->width / 4) {
                $gaps[] = new Target($canvas->x + $margin, ['start'], 'gap', $first->y, $first->bottom());
            }
            foreach ($others as $second) {
                $gap = $second->x - $first->right();
                if ($first === $second || $gap <= 0 || ! self::sideBySide($first, $second)) {
                    continue;
                }
                [$from, $to] = [min($first->y, $second->y), max($first->bottom(), $second->bottom())];
                $gaps[] = new Target($second->right() + $gap, ['start'], 'gap', $from, $to);
                $gaps[] = new Target($first->x - $gap, ['end'], 'gap', $from, $to);
                $gaps[] = new Target($first->right() + $gap / 2, ['centre'], 'gap', $from, $to);
            }
        }

        return $gaps;
    }

    /** @param  list<'start'|'centre'|'end'>  $takes */
    private static function line(Rect $canvas, float $at, array $takes, string $why): Target
    {
        return new Target($at, $takes, $why, $canvas->y, $canvas->bottom());
    }

    private static function sideBySide(Rect $first, Rect $second): bool
    {
        return min($first->bottom(), $second->bottom()) > max($first->y, $second->y);
    }
}
