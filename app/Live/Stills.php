<?php

namespace App\Live;

use App\Models\Show;
use Illuminate\Http\UploadedFile;
use Rhetorix\Core\Support\Refusal;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * One image about once a second with program, preview and all miniatures in
 * it, for screens that hold no devices. Its map says what lies where.
 */
final readonly class Stills
{
    private const TYPES = ['image/jpeg', 'image/webp'];

    private const LARGEST_BYTES = 2_000_000;

    public function __construct(private HostLease $lease)
    {
    }

    /** @param  mixed  $image the uploaded file */
    public function keep(Show $show, string $tab, string $map, mixed $image): void
    {
        if (! $this->lease->isHeldBy($show, $tab)) {
            throw new Refusal('This tab is not the picture host any more.');
        }
        if (! $image instanceof UploadedFile || $image->getSize() > self::LARGEST_BYTES || ! in_array($image->getMimeType(), self::TYPES, true)) {
            throw new Refusal('The stills must be one JPEG of at most 2 MB.');
        }
        $folder = storage_path('stills');
        // Renaming is atomic, so that nobody reads half an image.
        file_put_contents("{$folder}/{$show->id}.json.new", $map);
        $image->move($folder, "{$show->id}.still.new");
        rename("{$folder}/{$show->id}.json.new", "{$folder}/{$show->id}.json");
        rename("{$folder}/{$show->id}.still.new", "{$folder}/{$show->id}.still");
    }

    public function answer(Show $show): ?BinaryFileResponse
    {
        $image = storage_path("stills/{$show->id}.still");
        $map = storage_path("stills/{$show->id}.json");
        if (! is_file($image) || ! is_file($map) || filemtime($image) < time() - 10) {
            return null;
        }

        return response()->file($image, [
            'Content-Type' => mime_content_type($image) ?: self::TYPES[0],
            'Cache-Control' => 'no-store',
            'X-Stills-Map' => rawurlencode((string) file_get_contents($map)),
        ]);
    }
}
