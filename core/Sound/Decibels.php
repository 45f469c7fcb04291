<?php

declare(strict_types=1);

namespace Rhetorix\Core\Sound;

/**
 * A level relative to a reference, in dB. As a gain: 20 times the common
 * logarithm of the amplitude ratio, so +6.02 dB doubles and -6.02 dB halves.
 */
final readonly class Decibels
{
    /** Lowest level of a strip; at or below it a strip is closed. */
    public const CLOSED = -60.0;

    /** Highest level of a strip. */
    public const HIGHEST = 12.0;

    public function __construct(public float $value)
    {
    }

    /** The level of an amplitude ratio above zero; zero gives minus infinity. */
    public static function fromGain(float $gain): self
    {
        return new self($gain > 0 ? 20 * log10($gain) : -INF);
    }

    /** Amplitude ratio, 0 or above. */
    public function toGain(): float
    {
        return 10 ** ($this->value / 20);
    }

    /** The gain of a strip set to this level: closed at the bottom of its travel. */
    public function toStripGain(): float
    {
        return $this->value <= self::CLOSED ? 0.0 : $this->toGain();
    }
}
