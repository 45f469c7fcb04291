<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

use Rhetorix\Core\Support\BadInput;

/** A picture in shades of grey, one byte for each pixel, row by row. */
final readonly class LumaImage
{
    public const MOST_PIXELS = 2_100_000;

    /**
     * @param  string  $bytes  luma, 0 to 255
     *
     * @throws BadInput when the bytes do not fill the size, or it is too large
     */
    public function __construct(public int $width, public int $height, public string $bytes)
    {
        if ($width < 8 || $height < 8 || $width * $height > self::MOST_PIXELS || strlen($bytes) !== $width * $height) {
            throw BadInput::outOfRange('image', 'between 8 × 8 and 1920 × 1080 pixels');
        }
    }

    public function at(int $x, int $y): int
    {
        return ord($this->bytes[$y * $this->width + $x]);
    }
}
