<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One command that was carried out, with what it did and what was answered.
 *
 * @property int $id
 * @property string $show_id
 * @property int $revision
 * @property string $command_id
 * @property ?int $user_id
 * @property int $at_ms
 * @property string $type
 * @property array<string, mixed> $command
 * @property ?array<string, mixed> $desk_command what it meant for the desk; null for an edit that does not touch it
 * @property list<array{at: int, what: string, subject: ?string, detail: ?string}> $events
 * @property object $answer as it was given
 * @property ?User $user
 */
class AsRunEntry extends Model
{
    public $timestamps = false;

    protected $table = 'as_run';

    protected $guarded = [];

    protected $casts = ['command' => 'array', 'desk_command' => 'array', 'events' => 'array', 'answer' => 'object', 'revision' => 'integer', 'at_ms' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
