<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 */
class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed'];

    /** @return HasMany<ApiToken, $this> */
    public function tokens(): HasMany
    {
        return $this->hasMany(ApiToken::class);
    }

    /** @return BelongsToMany<Show, $this> */
    public function shows(): BelongsToMany
    {
        return $this->belongsToMany(Show::class, 'memberships')->withPivot('role')->orderBy('name');
    }
}
