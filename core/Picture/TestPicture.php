<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Size;

/**
 * The test pictures that are built in, as coloured patches. They are laid out
 * for 1920x1080 and painted at any size.
 */
enum TestPicture: string
{
    case BarsHd = 'bars-hd';
    case Bars75 = 'bars-75';
    case Ramp = 'ramp';
    case Grid = 'grid';

    public const WIDTH = 1920;

    public const HEIGHT = 1080;

    public function label(): string
    {
        return match ($this) {
            self::BarsHd => 'Colour bars, high definition',
            self::Bars75 => 'Colour bars, 75 %',
            self::Ramp => 'Grey steps and ramp',
            self::Grid => 'Framing grid with safe areas',
        };
    }

    public static function size(): Size
    {
        return new Size(self::WIDTH, self::HEIGHT);
    }

    /** @return list<Patch> back to front */
    public function patches(): array
    {
        return match ($this) {
            self::BarsHd => self::barsHd(),
            self::Bars75 => self::bars75(),
            self::Ramp => self::ramp(),
            self::Grid => self::grid(),
        };
    }

    /**
     * SMPTE RP 219: rows of 7, 1, 1 and 3 twelfths of the height; side columns
     * of an eighth of the width, seven bars between them. Its text cannot be
     * read here: the values are from memory and checked against ffmpeg.
     *
     * @return list<Patch>
     */
    private static function barsHd(): array
    {
        $side = self::WIDTH / 8;
        $bar = self::WIDTH * 3 / 4 / 7;
        $twelfth = self::HEIGHT / 12;
        $right = self::WIDTH - $side;
        $colour = Patch::videoColour(...);

        $patches = [new Patch(0, 0, self::WIDTH, 7 * $twelfth, $colour(104, 128, 128))];
        foreach ([[180, 128, 128], [168, 44, 136], [145, 147, 44], [133, 63, 52], [63, 193, 204], [51, 109, 212], [28, 212, 120]] as $i => $value) {
            $patches[] = new Patch($side + $i * $bar, 0, $bar, 7 * $twelfth, $colour(...$value));
        }
        $row = 7 * $twelfth;
        $patches[] = new Patch(0, $row, $side, $twelfth, $colour(188, 154, 16));
        $patches[] = new Patch($side, $row, $bar, $twelfth, $colour(57, 156, 97));
        $patches[] = new Patch($side + $bar, $row, 6 * $bar, $twelfth, $colour(180, 128, 128));
        $patches[] = new Patch($right, $row, $side, $twelfth, $colour(32, 240, 118));
        $row = 8 * $twelfth;
        $patches[] = new Patch(0, $row, $side, $twelfth, $colour(219, 16, 138));
        $patches[] = new Patch($side, $row, $bar, $twelfth, $colour(44, 171, 147));
        $patches[] = new Patch($side + $bar, $row, 6 * $bar, $twelfth, $colour(16, 128, 128), $colour(235, 128, 128));
        $patches[] = new Patch($right, $row, $side, $twelfth, $colour(63, 102, 240));
        $row = 9 * $twelfth;
        $patches[] = new Patch(0, $row, self::WIDTH, 3 * $twelfth, $colour(49, 128, 128));
        $patches[] = new Patch($side, $row, 7 * $bar, 3 * $twelfth, $colour(16, 128, 128));
        $patches[] = new Patch($side + 1.5 * $bar, $row, 2 * $bar, 3 * $twelfth, $colour(235, 128, 128));
        $steps = $side + (1.5 + 2 + 5 / 6) * $bar;
        foreach ([12, 16, 20, 16, 25] as $i => $luma) {
            $patches[] = new Patch($steps + $i * $bar / 3, $row, $bar / 3, 3 * $twelfth, $colour($luma, 128, 128));
        }

        return $patches;
    }

    /**
     * EBU bars 100/0/75/0: white at its full value, the colours at 75 %.
     *
     * @return list<Patch>
     */
    private static function bars75(): array
    {
        $bar = self::WIDTH / 8;

        return array_map(
            fn (int $i, string $value): Patch => new Patch($i * $bar, 0, $bar, self::HEIGHT, $value),
            range(0, 7),
            ['#ffffff', '#bfbf00', '#00bfbf', '#00bf00', '#bf00bf', '#bf0000', '#0000bf', '#000000'],
        );
    }

    /** @return list<Patch> eleven steps of a tenth above, the same way without steps below */
    private static function ramp(): array
    {
        $step = self::WIDTH / 11;
        $patches = [new Patch(0, self::HEIGHT / 2, self::WIDTH, self::HEIGHT / 2, '#000000', '#ffffff')];
        for ($i = 0; $i <= 10; $i++) {
            $level = (int) round(25.5 * $i);
            $patches[] = new Patch($i * $step, 0, $step, self::HEIGHT / 2, sprintf('#%02x%02x%02x', $level, $level, $level));
        }

        return $patches;
    }

    /**
     * Thirds, the middle, and the safe areas of SMPTE ST 2046-1: 93 % for
     * action, 90 % for titles.
     *
     * @return list<Patch>
     */
    private static function grid(): array
    {
        $patches = [new Patch(0, 0, self::WIDTH, self::HEIGHT, '#2b3442')];
        foreach ([1 / 3, 2 / 3] as $third) {
            $patches[] = new Patch($third * self::WIDTH - 1, 0, 2, self::HEIGHT, '#6b7689');
            $patches[] = new Patch(0, $third * self::HEIGHT - 1, self::WIDTH, 2, '#6b7689');
        }
        $patches[] = new Patch(self::WIDTH / 2 - 60, self::HEIGHT / 2 - 1, 120, 3, '#f3f1ec');
        $patches[] = new Patch(self::WIDTH / 2 - 1, self::HEIGHT / 2 - 60, 3, 120, '#f3f1ec');
        foreach ([[0.93, '#e6b450'], [0.9, '#f3f1ec'], [1.0, '#f3f1ec']] as [$share, $colour]) {
            $patches = [...$patches, ...Patch::frame(
                (1 - $share) / 2 * self::WIDTH,
                (1 - $share) / 2 * self::HEIGHT,
                $share * self::WIDTH,
                $share * self::HEIGHT,
                3,
                $colour,
            )];
        }

        return $patches;
    }
}
