<?php

namespace App\Media;

use GdImage;
use Illuminate\Http\UploadedFile;
use Rhetorix\Core\Support\Refusal;

/** An image that a page sends for the core to look at; nothing of it is kept. */
final class SentImage
{
    private const LARGEST_BYTES = 8_000_000;

    /**
     * @param  string  $otherwise  what to say when it is none
     *
     * @throws Refusal
     */
    public static function open(mixed $file, int $mostPixels, string $otherwise): GdImage
    {
        $size = $file instanceof UploadedFile && $file->getSize() <= self::LARGEST_BYTES ? @getimagesize($file->getPathname()) : false;
        $image = $file instanceof UploadedFile && $size !== false && $mostPixels >= $size[0] * $size[1] ? @imagecreatefromstring($file->getContent()) : false;

        return $image === false ? throw new Refusal($otherwise) : $image;
    }
}
