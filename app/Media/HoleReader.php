<?php

namespace App\Media;

use Rhetorix\Core\Layout\Art\Bitmap;
use Rhetorix\Core\Support\Refusal;

/** Which pixels of an image that the page sends are holes: transparent ones, or those of a picked colour. */
final class HoleReader
{
    /** Of GD's 0 (opaque) to 127. */
    private const SEEN_THROUGH = 64;

    /** Difference in each channel that still counts as the same colour. */
    private const SAME = 24;

    /**
     * @param  ?string  $colour  "#rrggbb"; null: transparent pixels are the holes
     *
     * @throws Refusal
     */
    public function read(mixed $file, ?string $colour): Bitmap
    {
        $image = SentImage::open($file, Bitmap::MOST_PIXELS, 'The frame art must be an image of at most 1920 × 1080 pixels when it is looked at. Save it smaller and bring it again.');
        [$red, $green, $blue] = $colour === null ? [0, 0, 0] : [(int) hexdec(substr($colour, 1, 2)), (int) hexdec(substr($colour, 3, 2)), (int) hexdec(substr($colour, 5, 2))];
        [$width, $height] = [imagesx($image), imagesy($image)];
        imagepalettetotruecolor($image);
        $rows = [];
        for ($y = 0; $y < $height; $y++) {
            $row = '';
            for ($x = 0; $x < $width; $x++) {
                $pixel = imagecolorat($image, $x, $y);
                $row .= $colour === null
                    ? ($pixel >> 24 > self::SEEN_THROUGH ? '1' : '0')
                    : (abs(($pixel >> 16 & 255) - $red) <= self::SAME && abs(($pixel >> 8 & 255) - $green) <= self::SAME && abs(($pixel & 255) - $blue) <= self::SAME ? '1' : '0');
            }
            $rows[] = $row;
        }

        return new Bitmap($width, $height, $rows);
    }
}
