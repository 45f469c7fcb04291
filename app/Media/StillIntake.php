<?php

namespace App\Media;

/** Looks whether a file really is an image that can be shown. */
final readonly class StillIntake
{
    private const TYPES = [IMAGETYPE_PNG => 'image/png', IMAGETYPE_JPEG => 'image/jpeg', IMAGETYPE_WEBP => 'image/webp', IMAGETYPE_GIF => 'image/gif'];

    public function __construct(private SvgCheck $svg)
    {
    }

    /**
     * @return array<string, mixed> what has to be remembered of it
     *
     * @throws BadMedia
     */
    public function look(string $path, string $name, int $bytes): array
    {
        MediaIntake::mustNotExceed('still', $bytes);
        $info = @getimagesize($path);
        if ($info === false || ! isset(self::TYPES[$info[2]])) {
            return $this->lookAtText($path, $name, $bytes);
        }
        [$width, $height] = $info;
        $side = config()->integer('rhetorix.media.longest_side');
        if ($width < 1 || $height < 1 || max($width, $height) > $side) {
            throw BadMedia::tooManyPixels($width, $height, $side);
        }
        // A header may lie: decoding shows whether the picture is all there.
        if (@imagecreatefromstring((string) file_get_contents($path)) === false) {
            throw BadMedia::broken($name);
        }

        return ['kind' => 'still', 'mime' => self::TYPES[$info[2]], 'width' => $width, 'height' => $height];
    }

    /**
     * The one image that is text.
     *
     * @return array<string, mixed>
     *
     * @throws BadMedia
     */
    public function lookAtText(string $path, string $name, int $bytes): array
    {
        MediaIntake::mustNotExceed('still', min($bytes, PHP_INT_MAX));
        $text = (string) file_get_contents($path, length: 5_000_000);
        if (stripos($text, '<svg') === false) {
            throw BadMedia::notKnown($name);
        }
        [$width, $height] = $this->svg->size($text, $name);

        return ['kind' => 'still', 'mime' => 'image/svg+xml', 'width' => $width, 'height' => $height];
    }
}
