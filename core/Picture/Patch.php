<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

/** A rectangle of one colour, or of colours that change evenly from its left edge to its right one. */
final readonly class Patch
{
    /**
     * @param  string  $colour  "#rrggbb", full range
     * @param  ?string  $to  at the right edge; null: one colour
     */
    public function __construct(
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public string $colour,
        public ?string $to = null,
    ) {
    }

    /**
     * Four thin patches around a rectangle, inside its edges.
     *
     * @return list<self>
     */
    public static function frame(float $x, float $y, float $width, float $height, float $thick, string $colour): array
    {
        return [
            new self($x, $y, $width, $thick, $colour),
            new self($x, $y + $height - $thick, $width, $thick, $colour),
            new self($x, $y, $thick, $height, $colour),
            new self($x + $width - $thick, $y, $thick, $height, $colour),
        ];
    }

    /**
     * From video levels to a colour of the screen; what lies below black or
     * above white is cut off, since a screen cannot show it.
     *
     * Source: ITU-R BT.709, Y = 0.2126 R + 0.7152 G + 0.0722 B,
     * Cb = (B - Y) / 1.8556, Cr = (R - Y) / 1.5748; 8 bits, black at 16,
     * white at 235, colour differences 16 to 240.
     */
    public static function videoColour(int $y, int $cb, int $cr): string
    {
        $luma = ($y - 16) / 219;
        $red = $luma + 1.5748 * ($cr - 128) / 224;
        $blue = $luma + 1.8556 * ($cb - 128) / 224;
        $green = ($luma - 0.2126 * $red - 0.0722 * $blue) / 0.7152;
        $level = fn (float $value): int => (int) round(255 * max(0.0, min(1.0, $value)));

        return sprintf('#%02x%02x%02x', $level($red), $level($green), $level($blue));
    }

    /** @return array{x: float, y: float, width: float, height: float, colour: string, to: ?string} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height, 'colour' => $this->colour, 'to' => $this->to];
    }
}
