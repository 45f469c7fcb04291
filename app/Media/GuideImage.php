<?php

namespace App\Media;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Rhetorix\Core\Support\Refusal;

/** A drawing of our own as a PNG, by ffmpeg's SVG decoder. */
final class GuideImage
{
    /** @throws Refusal */
    public function png(string $svg): string
    {
        $path = storage_path('uploads/'.Str::uuid().'.svg');
        File::put($path, $svg);
        $done = Process::timeout(20)->run(['ffmpeg', '-v', 'error', '-f', 'svg_pipe', '-i', $path, '-frames:v', '1', '-f', 'image2pipe', '-c:v', 'png', 'pipe:1']);
        File::delete($path);
        if (! $done->successful() || $done->output() === '') {
            throw new Refusal('The image could not be drawn here. Take the SVG instead; it shows the same.');
        }

        return $done->output();
    }
}
