<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A file that somebody brought, kept on disk under the hash of its content.
 *
 * @property string $id
 * @property string $show_id
 * @property string $hash
 * @property string $name
 * @property string $mime
 * @property string $kind "still", "deck" or "clip"
 * @property ?int $width pixels; none for music
 * @property ?int $height pixels
 * @property ?int $pages of a deck
 * @property ?int $length_ms of a clip
 * @property int $bytes
 */
class Medium extends Model
{
    use HasUuids;

    protected $table = 'media';

    protected $guarded = [];

    public function path(): string
    {
        return storage_path("media/{$this->hash}");
    }
}
