<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

/**
 * Between coded values and light: the sRGB transfer function, which is what a
 * browser's canvas holds.
 *
 * Source: IEC 61966-2-1, as given in W3C CSS Color Module Level 4, section 10.
 */
final class Transfer
{
    /**
     * @param  float  $coded  0 to 1
     * @return float relative light, 0 to 1
     */
    public static function toLight(float $coded): float
    {
        return $coded <= 0.04045 ? $coded / 12.92 : (($coded + 0.055) / 1.055) ** 2.4;
    }

    /**
     * @param  float  $light  relative light; what lies outside 0 to 1 is clipped
     * @return float coded value, 0 to 1
     */
    public static function toCoded(float $light): float
    {
        return match (true) {
            $light <= 0.0 => 0.0,
            $light >= 1.0 => 1.0,
            $light <= 0.0031308 => 12.92 * $light,
            default => 1.055 * $light ** (1 / 2.4) - 0.055,
        };
    }
}
