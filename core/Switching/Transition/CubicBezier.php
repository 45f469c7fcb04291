<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Rhetorix\Core\Support\Refusal;

/**
 * An easing curve from (0, 0) to (1, 1) with two control points.
 *
 * Source: W3C CSS Easing Functions Level 1, `cubic-bezier(x1, y1, x2, y2)`:
 * both x within 0..1, so that each progress has exactly one value.
 */
final readonly class CubicBezier
{
    private const PRECISION = 1e-12;

    public function __construct(
        private float $x1,
        private float $y1,
        private float $x2,
        private float $y2,
    ) {
        if ($x1 < 0 || $x1 > 1 || $x2 < 0 || $x2 > 1) {
            throw new Refusal('The control points of an easing curve must have an x between 0 and 1.');
        }
    }

    /** The eased value for a progress between 0 and 1; outside it stays at the ends. */
    public function at(float $progress): float
    {
        if ($progress <= 0.0) {
            return 0.0;
        }
        if ($progress >= 1.0) {
            return 1.0;
        }

        return self::polynomial($this->parameterFor($progress), $this->y1, $this->y2);
    }

    /** x is monotonous in the parameter, so halving always finds it. */
    private function parameterFor(float $x): float
    {
        $low = 0.0;
        $high = 1.0;
        while ($high - $low > self::PRECISION) {
            $middle = ($low + $high) / 2;
            if (self::polynomial($middle, $this->x1, $this->x2) < $x) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    private static function polynomial(float $t, float $a, float $b): float
    {
        $rest = 1 - $t;

        return 3 * $rest * $rest * $t * $a + 3 * $rest * $t * $t * $b + $t * $t * $t;
    }
}
