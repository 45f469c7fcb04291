<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Time\Instant;

/**
 * The stored desk of a show. Its row is the lock that puts commands in order.
 *
 * @property string $show_id
 * @property int $revision
 * @property int $at_ms time of the last command
 * @property int $book_revision revision of the last edit of the rig or the pictures
 * @property array<string, mixed> $state
 */
class DeskRow extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'desks';

    protected $primaryKey = 'show_id';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['state' => 'array', 'revision' => 'integer', 'at_ms' => 'integer', 'book_revision' => 'integer'];

    public function toDesk(): Desk
    {
        return Desk::fromArray($this->state);
    }

    /** A moment that is not before the last command's, whatever the clock does. */
    public function notBefore(Instant $now): Instant
    {
        return new Instant(max($now->ms, $this->at_ms));
    }
}
