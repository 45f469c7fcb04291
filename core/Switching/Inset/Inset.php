<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Inset;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Transition\Easing;
use Rhetorix\Core\Switching\Transition\Track;
use Rhetorix\Core\Time\Instant;

/**
 * The inset over program at a moment. It has the proportions of the canvas,
 * so its width says its size; it shows a source that fills it.
 */
final readonly class Inset
{
    /** How long it takes to come, to go and to travel. Short enough not to be waited for; a choice of ours. */
    public const TRAVEL_MS = 300;

    /** Widths that one press goes through, as fractions of the canvas's. */
    public const WIDTHS = [0.18, 0.24, 0.32, 0.42, 0.55];

    /** From the edges of the canvas, as a fraction of its shorter side: inside the action-safe area of 93 %. */
    private const MARGIN = 0.04;

    /** Of its corners, as a fraction of its height; the border as a fraction of the canvas's height. */
    private const RADIUS = 0.06;

    private const BORDER = 1 / 240;

    private const NARROWEST = 64;

    /**
     * @param  Rect  $rect  pixels of the canvas
     * @param  float  $opacity  0 to 1
     * @param  float  $trim  of its rounded corners and border: 1 in its place, 0 when it fills the canvas
     */
    private function __construct(public string $source, public Rect $rect, public float $opacity, public float $trim)
    {
    }

    /** What is seen of it; null while it is off. */
    public static function in(Registers $registers, Size $canvas, Instant $at): ?self
    {
        $desk = $registers->desk;
        [$x, $y, $width, $opacity, $trim] = self::seen($desk, (int) $canvas->width, $at->ms);

        return is_string($desk['inset_source']) && $opacity > 0.0
            ? new self($desk['inset_source'], new Rect($x, $y, $width, $width * $canvas->height / $canvas->width), $opacity, $trim)
            : null;
    }

    /**
     * How it is seen at a moment, for a press that comes while it still
     * travels: it goes on from there.
     *
     * @param  array<string, string|int|bool|null>  $desk
     * @param  int  $canvas  the canvas's width in pixels
     * @param  int  $now  milliseconds
     * @return array{seen_x: int, seen_y: int, seen_width: int, seen_opacity: int, seen_trim: int} canvas pixels; thousandths
     */
    public static function standing(array $desk, int $canvas, int $now): array
    {
        [$x, $y, $width, $opacity, $trim] = self::seen($desk, $canvas, $now);

        return [
            'seen_x' => (int) round($x), 'seen_y' => (int) round($y), 'seen_width' => (int) round($width),
            'seen_opacity' => (int) round($opacity * Registers::WHOLE), 'seen_trim' => (int) round($trim * Registers::WHOLE),
        ];
    }

    /** Whether nothing beneath it is seen. */
    public function fills(Size $canvas): bool
    {
        return $this->opacity >= 1.0 && $this->rect->width >= $canvas->width && $this->rect->height >= $canvas->height;
    }

    /** Where it is put in a corner. */
    public static function corner(Corner $corner, float $width, Size $canvas): Rect
    {
        $margin = round(self::MARGIN * min($canvas->width, $canvas->height));
        [$w, $h] = [round($width * $canvas->width), round(round($width * $canvas->width) * $canvas->height / $canvas->width)];

        return new Rect($corner->isLeft() ? $margin : $canvas->width - $margin - $w, $corner->isTop() ? $margin : $canvas->height - $margin - $h, $w, $h);
    }

    /**
     * A place that somebody asks for, held within the canvas.
     *
     * @return array{x: int, y: int, width: int} canvas pixels
     *
     * @throws BadInput when it is no place at all
     */
    public static function place(Fields $fields, Size $canvas): array
    {
        $width = $fields->integer('width', self::NARROWEST, (int) $canvas->width);
        $height = $width * $canvas->height / $canvas->width;

        return [
            'x' => (int) max(0, min($canvas->width - $width, $fields->integer('x', -20_000, 20_000))),
            'y' => (int) max(0, min($canvas->height - $height, $fields->integer('y', -20_000, 20_000))),
            'width' => $width,
        ];
    }

    /** @return array{inset_x: int, inset_y: int, inset_width: int} where it is when a show begins */
    public static function atFirst(Size $canvas): array
    {
        $rect = self::corner(Corner::BottomRight, self::WIDTHS[1], $canvas);

        return ['inset_x' => (int) $rect->x, 'inset_y' => (int) $rect->y, 'inset_width' => (int) $rect->width];
    }

    /** @return array<string, mixed> what a desk needs to paint and to place it without asking */
    public static function toolOf(Size $canvas): array
    {
        $places = [];
        foreach (Corner::cases() as $corner) {
            $places[$corner->value] = array_map(fn (float $width): array => self::corner($corner, $width, $canvas)->toArray(), self::WIDTHS);
        }

        return [
            'places' => $places,
            'narrowest' => self::NARROWEST,
            'travel_ms' => self::TRAVEL_MS,
            'curve' => self::curve()->keyframes,
            'radius' => self::RADIUS,
            'border' => self::BORDER,
        ];
    }

    private static function curve(): Track
    {
        return Track::along('windows', 'way', Easing::EaseInOut->curve()->at(...));
    }

    /**
     * @param  array<string, string|int|bool|null>  $desk
     * @return array{float, float, float, float, float} x, y, width, opacity, trim
     */
    private static function seen(array $desk, int $canvas, int $now): array
    {
        $since = $desk['inset_since'];
        $way = self::curve()->at(is_int($since) ? max(0.0, min(1.0, ($now - $since) / self::TRAVEL_MS)) : 1.0);
        $part = fn (string $name): float => (float) $desk["inset_{$name}"];
        $between = fn (float $from, float $to): float => $from + ($to - $from) * $way;
        $full = $desk['inset'] === 'full';

        return [
            $between($part('was_x'), $full ? 0.0 : $part('x')),
            $between($part('was_y'), $full ? 0.0 : $part('y')),
            $between($part('was_width'), $full ? (float) $canvas : $part('width')),
            $between($part('was_opacity') / Registers::WHOLE, $desk['inset'] === 'off' ? 0.0 : 1.0),
            $between($part('was_trim') / Registers::WHOLE, $full ? 0.0 : 1.0),
        ];
    }
}
