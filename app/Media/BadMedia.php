<?php

namespace App\Media;

use Rhetorix\Core\Support\Refusal;

final class BadMedia extends Refusal
{
    public static function notArrived(int $error): self
    {
        return new self(match ($error) {
            UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE => 'This file is larger than the server takes. Save the image smaller and choose it again.',
            UPLOAD_ERR_NO_FILE => 'No file arrived. Choose an image file.',
            UPLOAD_ERR_CANT_WRITE, UPLOAD_ERR_NO_TMP_DIR => 'The server cannot store the file: its disk is full or not writable. Make room and try again.',
            default => 'The file arrived only in part. Choose it again.',
        });
    }

    public static function empty(string $name): self
    {
        return new self("“{$name}” is empty (0 bytes). Save the image again and choose it then.");
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self("A still may have at most {$megabytes} MB. Save the image smaller and choose it again.");
    }

    public static function notAnImage(string $name): self
    {
        return new self("“{$name}” is not an image that can be shown. Choose a PNG, JPEG, WebP or GIF file.");
    }

    public static function tooManyPixels(int $width, int $height, int $most): self
    {
        return new self("This image has {$width}×{$height} pixels; at most {$most} a side can be shown. Make it smaller and choose it again.");
    }

    public static function broken(string $name): self
    {
        return new self("“{$name}” begins like an image but cannot be read to its end. Save it again and choose it then.");
    }
}
