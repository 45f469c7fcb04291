<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

/**
 * A colour as people tell colours apart, under D65.
 *
 * Sources: CIE 15 (L*a*b*); the difference is CIEDE2000, CIE 142, written
 * after G. Sharma, W. Wu, E. Dalal, "The CIEDE2000 color-difference formula"
 * (2005).
 */
final readonly class Lab
{
    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    /** @param  array{float, float, float}  $light  of red, green and blue, 0 to 1 */
    public static function ofLight(array $light): self
    {
        [$r, $g, $b] = $light;
        $curve = fn (float $t): float => $t > 216 / 24389 ? $t ** (1 / 3) : (24389 / 27 * $t + 16) / 116;
        $x = $curve((0.41239080 * $r + 0.35758434 * $g + 0.18048079 * $b) / 0.95045593);
        $y = $curve(0.21263901 * $r + 0.71516868 * $g + 0.07219232 * $b);
        $z = $curve((0.01933082 * $r + 0.11919478 * $g + 0.95053215 * $b) / 1.08905775);

        return new self(116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z));
    }

    /** CIEDE2000: 1 is just to be seen side by side. */
    public function differenceTo(self $other): float
    {
        $mean = (hypot($this->a, $this->b) + hypot($other->a, $other->b)) / 2;
        $g = 0.5 * (1 - sqrt($mean ** 7 / ($mean ** 7 + 25 ** 7)));
        [$c1, $h1] = self::polar((1 + $g) * $this->a, $this->b);
        [$c2, $h2] = self::polar((1 + $g) * $other->a, $other->b);

        $grey = $c1 * $c2 === 0.0;
        $turn = $h2 - $h1;
        $turn = match (true) {
            $grey => 0.0,
            $turn > 180 => $turn - 360,
            $turn < -180 => $turn + 360,
            default => $turn,
        };
        $deltaH = 2 * sqrt($c1 * $c2) * sin(deg2rad($turn / 2));
        $hue = match (true) {
            $grey => $h1 + $h2,
            abs($h1 - $h2) <= 180 => ($h1 + $h2) / 2,
            $h1 + $h2 < 360 => ($h1 + $h2 + 360) / 2,
            default => ($h1 + $h2 - 360) / 2,
        };
        [$l, $c] = [($this->l + $other->l) / 2, ($c1 + $c2) / 2];
        $t = 1 - 0.17 * cos(deg2rad($hue - 30)) + 0.24 * cos(deg2rad(2 * $hue)) + 0.32 * cos(deg2rad(3 * $hue + 6)) - 0.20 * cos(deg2rad(4 * $hue - 63));
        $sl = 1 + 0.015 * ($l - 50) ** 2 / sqrt(20 + ($l - 50) ** 2);
        $sc = 1 + 0.045 * $c;
        $sh = 1 + 0.015 * $c * $t;
        $rt = -2 * sqrt($c ** 7 / ($c ** 7 + 25 ** 7)) * sin(deg2rad(60 * exp(-(($hue - 275) / 25) ** 2)));
        [$dl, $dc, $dh] = [($other->l - $this->l) / $sl, ($c2 - $c1) / $sc, $deltaH / $sh];

        return sqrt($dl ** 2 + $dc ** 2 + $dh ** 2 + $rt * $dc * $dh);
    }

    /** @return array{float, float} chroma, and hue in degrees from 0 to 360 */
    private static function polar(float $a, float $b): array
    {
        $hue = $a === 0.0 && $b === 0.0 ? 0.0 : rad2deg(atan2($b, $a));

        return [hypot($a, $b), $hue < 0 ? $hue + 360 : $hue];
    }
}
