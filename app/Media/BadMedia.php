<?php

namespace App\Media;

use Rhetorix\Core\Support\Refusal;

/** Why a file cannot be used, and what to do about it. */
final class BadMedia extends Refusal
{
    public static function notArrived(): self
    {
        return new self('The file arrived only in part. Choose it again: it goes on where it stopped.');
    }

    public static function noRoom(): self
    {
        return new self('The server cannot store this file: its disk is nearly full. Make room and choose the file again.');
    }

    public static function empty(string $name): self
    {
        return new self("“{$name}” is empty (0 bytes). Save it again and choose it then.");
    }

    public static function tooLarge(string $kind, int $megabytes): self
    {
        return new self("A {$kind} may have at most {$megabytes} MB. Save it smaller and choose it again.");
    }

    public static function notKnown(string $name): self
    {
        return new self("“{$name}” is neither an image, a PDF nor a clip that can be shown, whatever its name says. Choose a PNG, JPEG, WebP, GIF or SVG image, a PDF, or an MP4, WebM, OGG, MP3, WAV or FLAC file.");
    }

    public static function tooManyPixels(int $width, int $height, int $most): self
    {
        return new self("This image has {$width}×{$height} pixels; at most {$most} a side can be shown. Make it smaller and choose it again.");
    }

    public static function broken(string $name): self
    {
        return new self("“{$name}” begins well but cannot be read to its end. Save it again and choose it then.");
    }

    public static function svgWithScripts(string $name): self
    {
        return new self("“{$name}” is a drawing with scripts or with parts that lie elsewhere, which are not let in. Save it as a plain SVG or as PNG and choose that.");
    }

    public static function lockedDeck(string $name): self
    {
        return new self("“{$name}” is locked with a password. Save it without one and choose it again.");
    }

    public static function tooManyPages(int $pages, int $most): self
    {
        return new self("This deck has {$pages} pages; at most {$most} can be shown. Save the part that you need and choose that.");
    }

    public static function cannotBePlayed(string $name, string $codec): self
    {
        return new self("“{$name}” is coded as {$codec}, which browsers cannot play. Save it as MP4 (H.264 with AAC) or as WebM and choose that.");
    }

    public static function withoutLength(string $name): self
    {
        return new self("“{$name}” does not say how long it is, as a recording that was cut off. Save it again with a program that finishes the file.");
    }
}
