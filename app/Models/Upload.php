<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\File;

/**
 * A file on its way in. What has arrived of it lies on disk, so that it can
 * go on after a break.
 *
 * @property string $id
 * @property string $show_id
 * @property int $user_id
 * @property string $name
 * @property int $bytes the size that was announced
 */
class Upload extends Model
{
    use HasUuids;

    protected $guarded = [];

    public function path(): string
    {
        return storage_path("uploads/{$this->id}");
    }

    /** What nobody went on with for days is given up. */
    public static function forgetOld(): void
    {
        foreach (self::query()->where('updated_at', '<', now()->subDays(2))->get() as $upload) {
            File::delete($upload->path());
            $upload->delete();
        }
    }

    /** Bytes that have arrived. */
    public function arrived(): int
    {
        clearstatcache(true, $this->path());

        return is_file($this->path()) ? (int) filesize($this->path()) : 0;
    }

    public function isComplete(): bool
    {
        return $this->arrived() === $this->bytes;
    }
}
