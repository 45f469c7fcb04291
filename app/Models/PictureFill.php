<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $picture_id
 * @property string $slot
 * @property string $source_id
 */
class PictureFill extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'picture_id';

    protected $keyType = 'string';

    protected $guarded = [];
}
