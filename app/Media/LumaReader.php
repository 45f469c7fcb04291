<?php

namespace App\Media;

use Rhetorix\Core\Reading\LumaImage;
use Rhetorix\Core\Support\Refusal;

/** An image that the picture host sends, as the core reads it. */
final class LumaReader
{
    /** @throws Refusal */
    public function read(mixed $file): LumaImage
    {
        $image = SentImage::open($file, LumaImage::MOST_PIXELS, 'The image must be a PNG or JPEG of at most 1920 × 1080 pixels and 8 MB.');
        [$width, $height] = [imagesx($image), imagesy($image)];
        $bytes = '';
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $colour = imagecolorat($image, $x, $y);
                // BT.709 luma of coded values, in 65536ths
                $bytes .= chr((13933 * (($colour >> 16) & 255) + 46871 * (($colour >> 8) & 255) + 4732 * ($colour & 255)) >> 16);
            }
        }

        return new LumaImage($width, $height, $bytes);
    }
}
