<?php

namespace App\Media;

use App\Models\Medium;
use App\Models\Show;
use Illuminate\Support\Facades\File;

/** Takes a file in after looking at what it really is, whatever its name says. */
final readonly class MediaIntake
{
    public function __construct(private StillIntake $stills, private DeckIntake $decks, private ClipIntake $clips)
    {
    }

    /**
     * @param  string  $path  of the file, which is moved or removed
     *
     * @throws BadMedia
     */
    public function take(Show $show, string $path, string $name): Medium
    {
        try {
            $bytes = (int) filesize($path);
            if ($bytes === 0) {
                throw BadMedia::empty($name);
            }
            $mime = (string) mime_content_type($path);
            $facts = match (true) {
                str_starts_with($mime, 'image/') => $this->stills->look($path, $name, $bytes),
                $mime === 'application/pdf' => $this->decks->look($path, $name, $bytes),
                str_starts_with($mime, 'video/'), str_starts_with($mime, 'audio/'), $mime === 'application/ogg', $mime === 'application/octet-stream' => $this->clips->look($path, $name, $bytes),
                default => $this->stills->lookAtText($path, $name, $bytes),
            };
            $medium = new Medium(['show_id' => $show->id, 'hash' => (string) hash_file('sha256', $path), 'name' => mb_substr($name, 0, 200), 'bytes' => $bytes, ...$facts]);
            if (! is_file($medium->path())) {
                rename($path, $medium->path());
            }
            $medium->save();

            return $medium;
        } finally {
            File::delete($path);
        }
    }

    public static function mustNotExceed(string $kind, int $bytes): void
    {
        $most = (int) config("rhetorix.media.megabytes.{$kind}");
        if ($bytes > $most * 1_048_576) {
            throw BadMedia::tooLarge($kind, $most);
        }
    }
}
