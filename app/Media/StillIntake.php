<?php

namespace App\Media;

use App\Models\Medium;
use App\Models\Show;
use Illuminate\Http\UploadedFile;

/** Takes in an image file, after looking whether it really is one. */
final class StillIntake
{
    private const TYPES = [IMAGETYPE_PNG => 'image/png', IMAGETYPE_JPEG => 'image/jpeg', IMAGETYPE_WEBP => 'image/webp', IMAGETYPE_GIF => 'image/gif'];

    /** @throws BadMedia */
    public function take(Show $show, mixed $file): Medium
    {
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            throw BadMedia::notArrived($file instanceof UploadedFile ? $file->getError() : UPLOAD_ERR_NO_FILE);
        }
        if ($file->getSize() === 0) {
            throw BadMedia::empty($file->getClientOriginalName());
        }
        $most = config()->integer('rhetorix.media.megabytes');
        if ($file->getSize() > $most * 1_048_576) {
            throw BadMedia::tooLarge($most);
        }
        $info = @getimagesize($file->getPathname());
        if ($info === false || ! isset(self::TYPES[$info[2]])) {
            throw BadMedia::notAnImage($file->getClientOriginalName());
        }
        [$width, $height] = $info;
        $side = config()->integer('rhetorix.media.longest_side');
        if ($width < 1 || $height < 1 || max($width, $height) > $side) {
            throw BadMedia::tooManyPixels($width, $height, $side);
        }
        // A header may lie: decoding shows whether the picture is all there.
        if (@imagecreatefromstring((string) file_get_contents($file->getPathname())) === false) {
            throw BadMedia::broken($file->getClientOriginalName());
        }

        $hash = (string) hash_file('sha256', $file->getPathname());
        $medium = new Medium([
            'show_id' => $show->id,
            'hash' => $hash,
            'name' => mb_substr($file->getClientOriginalName(), 0, 200),
            'mime' => self::TYPES[$info[2]],
            'width' => $width,
            'height' => $height,
            'bytes' => $file->getSize(),
        ]);
        if (! is_file($medium->path())) {
            $file->move(dirname($medium->path()), $hash);
        }
        $medium->save();

        return $medium;
    }
}
