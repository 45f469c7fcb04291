<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

use GdImage;

/** Paints in the room's own coordinates into a view of it. */
final readonly class Pen
{
    public function __construct(private GdImage $image, private float $left, private float $top, private float $scale)
    {
    }

    public function rect(float $x, float $y, float $width, float $height, int $colour): void
    {
        imagefilledrectangle($this->image, $this->x($x), $this->y($y), $this->x($x + $width) - 1, $this->y($y + $height) - 1, $colour);
    }

    public function dot(float $x, float $y, float $width, float $height, int $colour): void
    {
        imagefilledellipse($this->image, $this->x($x), $this->y($y), (int) max(1, $width * $this->scale), (int) max(1, $height * $this->scale), $colour);
    }

    public function line(float $x1, float $y1, float $x2, float $y2, int $thick, int $colour): void
    {
        imagesetthickness($this->image, (int) max(1, $thick * $this->scale));
        imageline($this->image, $this->x($x1), $this->y($y1), $this->x($x2), $this->y($y2), $colour);
        imagesetthickness($this->image, 1);
    }

    public function stone(float $x, float $y, float $size, int $light, int $dark): void
    {
        $points = fn (float $share): array => array_merge(...array_map(
            fn (int $i): array => [$this->x($x + $share * $size * cos($i * M_PI / 3 + 0.3) * (1 + 0.15 * ($i % 2))), $this->y($y + $share * $size * 0.8 * sin($i * M_PI / 3 + 0.3))],
            range(0, 5),
        ));
        imagefilledpolygon($this->image, $points(1.0), $dark);
        imagefilledpolygon($this->image, $points(0.72), $light);
    }

    public function text(float $x, float $y, float $size, int $colour, string $words, string $font): void
    {
        if (is_file($font)) {
            imagettftext($this->image, $size * $this->scale, 0, $this->x($x), $this->y($y), $colour, $font, $words);
        } else {
            imagestring($this->image, 5, $this->x($x), $this->y($y) - 14, $words, $colour);
        }
    }

    private function x(float $x): int
    {
        return (int) round(($x - $this->left) * $this->scale);
    }

    private function y(float $y): int
    {
        return (int) round(($y - $this->top) * $this->scale);
    }
}
