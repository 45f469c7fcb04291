<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

/**
 * Warmth and tint as gains of light: what a white sheet would look like if the
 * light on it went along the daylight curve, or beside it.
 *
 * Source: CIE 15, chromaticity of daylight from its correlated colour
 * temperature (4000 K to 25000 K), and CIE 1960 (u, v); sRGB primaries as in
 * W3C CSS Color Module Level 4.
 */
final class WhitePoint
{
    /** Millionth parts of 1/K at the daylight that sRGB is made for. */
    private const NEUTRAL_MIRED = 1e6 / 6504;

    /** What full warmth adds: to 4020 K one way, to 17000 K the other. */
    private const MIRED_RANGE = 95.0;

    /** What full tint goes off the daylight curve, in CIE 1960 (u, v). */
    private const TINT_RANGE = 0.02;

    /**
     * @param  float  $warmth  -1 (bluer) to 1 (more yellow)
     * @param  float  $tint  -1 (greener) to 1 (more magenta)
     * @return array{float, float, float} gains of red, green and blue light; the light of a white sheet stays as strong
     */
    public static function gains(float $warmth, float $tint): array
    {
        [$red, $green, $blue] = self::white(self::NEUTRAL_MIRED + self::MIRED_RANGE * $warmth, -self::TINT_RANGE * $tint);
        [$neutralRed, $neutralGreen, $neutralBlue] = self::white(self::NEUTRAL_MIRED, 0.0);
        $gains = [$red / $neutralRed, $green / $neutralGreen, $blue / $neutralBlue];
        $luminance = 0.2126 * $gains[0] + 0.7152 * $gains[1] + 0.0722 * $gains[2];

        return [$gains[0] / $luminance, $gains[1] / $luminance, $gains[2] / $luminance];
    }

    /**
     * @param  float  $duv  distance from the daylight curve, positive to green
     * @return array{float, float, float} light of red, green and blue, luminance 1
     */
    private static function white(float $mired, float $duv): array
    {
        [$u, $v] = self::daylight($mired);
        [$u2, $v2] = self::daylight($mired + 0.5);
        $length = hypot($u2 - $u, $v2 - $v);
        // A quarter turn from the direction of growing warmth points away from green.
        [$u, $v] = [$u - $duv * ($v2 - $v) / $length, $v + $duv * ($u2 - $u) / $length];
        $x = 3 * $u / (2 * $u - 8 * $v + 4);
        $y = 2 * $v / (2 * $u - 8 * $v + 4);
        [$bigX, $bigZ] = [$x / $y, (1 - $x - $y) / $y];

        return [
            max(0.01, 3.2409699 * $bigX - 1.5373832 - 0.4986108 * $bigZ),
            max(0.01, -0.9692436 * $bigX + 1.8759675 + 0.0415551 * $bigZ),
            max(0.01, 0.0556301 * $bigX - 0.2039770 + 1.0569715 * $bigZ),
        ];
    }

    /** @return array{float, float} CIE 1960 (u, v) of daylight */
    private static function daylight(float $mired): array
    {
        $t = 1e6 / $mired;
        $x = $t <= 7000
            ? -4.6070e9 / $t ** 3 + 2.9678e6 / $t ** 2 + 0.09911e3 / $t + 0.244063
            : -2.0064e9 / $t ** 3 + 1.9018e6 / $t ** 2 + 0.24748e3 / $t + 0.237040;
        $y = -3.000 * $x * $x + 2.870 * $x - 0.275;
        $scale = -2 * $x + 12 * $y + 3;

        return [4 * $x / $scale, 6 * $y / $scale];
    }
}
