<?php

declare(strict_types=1);

namespace Rhetorix\Core\Key;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * Takes the backing out of a picture. How much backing is in a pixel is read
 * along the backing's own direction in the plane of the two colour
 * differences; what lies across that direction counts against it, so that
 * other colours stay.
 *
 * Luma and colour differences: ITU-R BT.709. A pixel is taken for a mixture of
 * what stands in front and the backing (common practice of colour-difference
 * keying); the backing's share is taken out of the colour as well.
 */
final readonly class ChromaKey
{
    /** A colour with less colour difference than this, in levels, is no backing. */
    public const LEAST_CHROMA = 14.0;

    /** Of a pixel with more backing in it than this, what stands in front cannot be told any more. */
    private const MOST_MIXED = 0.9;

    /** What a colour may go across the backing's direction for each level along it. */
    private const ACROSS = 0.6;

    /**
     * @param  array{int, int, int}  $colour  of the backing, levels 0 to 255
     * @param  float  $tolerance  how far the backing may fall short of its colour, 0 to 0.9
     * @param  float  $softness  from wholly backing to not at all, as a part of the backing's colour difference, 0.02 to 1
     * @param  float  $spill  how much of the backing's light on the subject is taken away, 0 to 1
     * @param  Crop  $inside  fractions of the source before it is turned; what lies outside is cut
     *
     * @throws BadInput
     */
    public function __construct(
        public array $colour,
        public float $tolerance = 0.35,
        public float $softness = 0.6,
        public float $spill = 1.0,
        public Crop $inside = new Crop(0.0, 0.0, 1.0, 1.0),
    ) {
        [$blue, $red] = self::chroma($colour);
        if (hypot($blue, $red) < self::LEAST_CHROMA) {
            throw BadInput::outOfRange('key.colour', 'more colourful: this is nearly grey, and grey things in front would go with it');
        }
    }

    /**
     * The key with the parts that are given; what is cut off is of the picture as it stands upright.
     *
     * @throws BadInput
     */
    public static function fromFields(Fields $fields, ?self $before = null, Orientation $orientation = Orientation::Upright): self
    {
        $number = fn (string $name, float $least, float $most, float $otherwise): float => $fields->has($name) ? $fields->number($name, $least, $most) : $otherwise;
        $colour = $before !== null && ! $fields->has('colour') ? $before->colour : self::colour($fields->string('colour', 7));

        return new self(
            $colour,
            $number('tolerance', 0.0, 0.9, $before->tolerance ?? 0.35),
            $number('softness', 0.02, 1.0, $before->softness ?? 0.6),
            $number('spill', 0.0, 1.0, $before->spill ?? 1.0),
            match (true) {
                $fields->has('cut') => $orientation->toSource(Crop::cutting($fields->object('cut'))),
                $fields->has('inside') => Crop::fromFields($fields->object('inside')),
                default => $before->inside ?? Crop::whole(),
            },
        );
    }

    /**
     * What the painter needs: directions and limits, all in levels.
     *
     * @return array{colour: list<int>, along: list<float>, across: float, full: float, most_mixed: float, low: float, high: float, spill: float, axis: list<float>, inside: array<string, float>}
     */
    public function plan(): array
    {
        [$blue, $red] = self::chroma($this->colour);
        $length = hypot($blue, $red);
        $high = $length * (1 - $this->tolerance);
        $axis = [1.5748 * $red / $length, 0.0, 1.8556 * $blue / $length];
        $axis[1] = -(0.2126 * $axis[0] + 0.0722 * $axis[2]) / 0.7152;
        $round = fn (float $value): float => round($value, 5);

        return [
            'colour' => $this->colour,
            'along' => [$round($blue / $length), $round($red / $length)],
            'across' => self::ACROSS,
            'full' => $round($length),
            'most_mixed' => self::MOST_MIXED,
            'low' => $round($high - $length * $this->softness),
            'high' => $round($high),
            'spill' => $this->spill,
            'axis' => array_map($round, $axis),
            'inside' => $this->inside->toArray(),
        ];
    }

    /**
     * What becomes of a pixel inside.
     *
     * @param  array{int, int, int}  $pixel  levels
     * @return array{int, int, int, int} levels of red, green, blue and alpha
     */
    public function of(array $pixel): array
    {
        $plan = $this->plan();
        $backing = self::share($pixel, $plan);
        $alpha = max(0.0, min(1.0, ($plan['high'] - $backing) / ($plan['high'] - $plan['low'])));
        if ($alpha <= 0.0) {
            return [0, 0, 0, 0];
        }
        $share = max(0.0, min(self::MOST_MIXED, $backing / $plan['full']));
        $mixed = $this->spill * $share / (1 - $share);
        $front = array_map(fn (int $i): float => max(0.0, min(255.0, $pixel[$i] + $mixed * ($pixel[$i] - $this->colour[$i]))), [0, 1, 2]);
        $left = $this->spill * max(0.0, self::share([$front[0], $front[1], $front[2]], $plan));
        $level = fn (int $i): int => (int) round(max(0.0, min(255.0, $front[$i] - $left * $plan['axis'][$i])));

        return [$level(0), $level(1), $level(2), (int) round(255 * $alpha)];
    }

    /**
     * How much of the backing's colour difference a colour has: 0 nothing, 1 all.
     *
     * @param  array{int, int, int}  $pixel  levels
     */
    public function likeness(array $pixel): float
    {
        return max(0.0, self::share($pixel, $this->plan())) / hypot(...self::chroma($this->colour));
    }

    public function hex(): string
    {
        return sprintf('#%02x%02x%02x', ...$this->colour);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['colour' => $this->hex(), 'tolerance' => $this->tolerance, 'softness' => $this->softness, 'spill' => $this->spill, 'inside' => $this->inside->toArray()];
    }

    /**
     * @param  array{int|float, int|float, int|float}  $colour
     * @return array{float, float} Cb and Cr, in levels around 0
     */
    public static function chroma(array $colour): array
    {
        $luma = 0.2126 * $colour[0] + 0.7152 * $colour[1] + 0.0722 * $colour[2];

        return [($colour[2] - $luma) / 1.8556, ($colour[0] - $luma) / 1.5748];
    }

    /**
     * @param  array{int|float, int|float, int|float}  $pixel
     * @param  array{along: list<float>, across: float}  $plan
     * @return float levels along the backing's direction, less what lies across
     */
    private static function share(array $pixel, array $plan): float
    {
        [$blue, $red] = self::chroma($pixel);

        return $blue * $plan['along'][0] + $red * $plan['along'][1] - $plan['across'] * abs($red * $plan['along'][0] - $blue * $plan['along'][1]);
    }

    /** @return array{int, int, int} */
    private static function colour(string $hex): array
    {
        if (preg_match('/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i', $hex, $parts) !== 1) {
            throw BadInput::wrongKind('key.colour', 'a colour like #3f9f86');
        }

        return [(int) hexdec($parts[1]), (int) hexdec($parts[2]), (int) hexdec($parts[3])];
    }
}
