<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * How the colours of a source are put right. In light: the match with another
 * camera, then warmth and tint. In coded values: brightness, contrast and
 * saturation.
 */
final readonly class Correction
{
    /** Least and most of each control, and where it changes nothing. */
    public const RANGES = [
        'brightness' => [0.25, 2.0, 1.0],
        'contrast' => [0.25, 2.0, 1.0],
        'saturation' => [0.0, 2.0, 1.0],
        'warmth' => [-1.0, 1.0, 0.0],
        'tint' => [-1.0, 1.0, 0.0],
    ];

    public function __construct(
        public float $brightness = 1.0,
        public float $contrast = 1.0,
        public float $saturation = 1.0,
        public float $warmth = 0.0,
        public float $tint = 0.0,
        public ?Matched $matched = null,
    ) {
    }

    public static function none(): self
    {
        return new self();
    }

    /**
     * This correction with the parts that are given; {matched: false} takes a match away.
     *
     * @throws BadInput
     */
    public function with(Fields $given): self
    {
        $number = fn (string $name, float $before): float => $given->has($name) ? $given->number($name, self::RANGES[$name][0], self::RANGES[$name][1]) : $before;

        return new self(
            $number('brightness', $this->brightness),
            $number('contrast', $this->contrast),
            $number('saturation', $this->saturation),
            $number('warmth', $this->warmth),
            $number('tint', $this->tint),
            match (true) {
                ! $given->has('matched') => $this->matched,
                $given->all()['matched'] === false => null,
                default => Matched::fromFields($given->object('matched')),
            },
        );
    }

    public function isNone(): bool
    {
        return $this == self::none();
    }

    /** Of the coded values. */
    public function matrix(): ColourMatrix
    {
        return ColourMatrix::brightness($this->brightness)
            ->then(ColourMatrix::contrast($this->contrast))
            ->then(ColourMatrix::saturation($this->saturation));
    }

    /**
     * What the painter needs: a table for each channel, and the matrix where
     * channels mix. A matrix that does not mix them is already in the tables.
     *
     * @return array{tables: list<list<int>>, matrix: ?list<float>}
     */
    public function plan(): array
    {
        $matrix = $this->matrix();
        $mixes = ! $matrix->isPerChannel();
        $gains = WhitePoint::gains($this->warmth, $this->tint);
        $tables = [];
        foreach ([0, 1, 2] as $channel) {
            for ($level = 0; $level < 256; $level++) {
                $value = $this->balanced($channel, $level / 255, $gains);
                $tables[$channel][] = (int) round(255 * ($mixes ? $value : $matrix->of([$value, $value, $value])[$channel]));
            }
        }

        return ['tables' => $tables, 'matrix' => $mixes ? $matrix->toArray() : null];
    }

    /**
     * @param  array{float, float, float}  $colour  coded, 0 to 1
     * @return array{float, float, float} coded, 0 to 1
     */
    public function of(array $colour): array
    {
        $gains = WhitePoint::gains($this->warmth, $this->tint);

        return $this->matrix()->of([$this->balanced(0, $colour[0], $gains), $this->balanced(1, $colour[1], $gains), $this->balanced(2, $colour[2], $gains)]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'brightness' => $this->brightness, 'contrast' => $this->contrast, 'saturation' => $this->saturation,
            'warmth' => $this->warmth, 'tint' => $this->tint, 'matched' => $this->matched?->toArray() ?? false,
        ];
    }

    /** @param  array{float, float, float}  $gains  of warmth and tint */
    private function balanced(int $channel, float $coded, array $gains): float
    {
        $matched = $this->matched ?? Matched::nothing();
        $light = $matched->gain[$channel] * Transfer::toLight($coded) + $matched->offset[$channel];

        return Transfer::toCoded($light * $gains[$channel]);
    }
}
