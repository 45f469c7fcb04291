<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * How a camera of the network is reached. Its name and password stay here, encrypted.
 *
 * @property string $id
 * @property string $show_id
 * @property string $address
 * @property array{user: string, password: string}|null $login
 * @property string $maker
 * @property ?string $stream_uri
 * @property ?string $snapshot_uri
 */
class NetworkCamera extends Model
{
    use HasUuids;

    protected $guarded = [];

    protected $hidden = ['login'];

    /** Host of the simulated camera, whose port is another one in each instance. */
    public const STAND_IN = 'http://stand-in.camera';

    public function streamUri(): ?string
    {
        return $this->resolved($this->stream_uri);
    }

    public function snapshotUri(): ?string
    {
        return $this->resolved($this->snapshot_uri);
    }

    private function resolved(?string $uri): ?string
    {
        return $uri === null ? null : str_replace(self::STAND_IN, 'http://127.0.0.1:'.config('rhetorix.stand_in_camera.port'), $uri);
    }

    protected $casts = ['login' => 'encrypted:array'];
}
