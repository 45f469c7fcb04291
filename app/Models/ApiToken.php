<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * A key for other programs. Only its hash is kept; the key itself is shown once.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $hash
 * @property User $user
 */
class ApiToken extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['user_id', 'name', 'hash'];

    /** @return string the token, to be shown now and never again */
    public static function issue(User $user, string $name): string
    {
        $token = 'rhx_'.Str::random(48);
        self::query()->create(['user_id' => $user->id, 'name' => $name, 'hash' => hash('sha256', $token)]);

        return $token;
    }

    public static function holder(string $token): ?User
    {
        return User::query()->whereHas('tokens', fn ($tokens) => $tokens->where('hash', hash('sha256', $token)))->first();
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
