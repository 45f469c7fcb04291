<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Rhetorix\Core\Control\Controls;
use Rhetorix\Core\Support\Fields;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property ?array<string, mixed> $controls what was put where: see controls()
 */
class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['controls' => null];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'controls' => 'array'];

    public function controls(): Controls
    {
        return $this->controls === null ? Controls::usual() : Controls::fromFields(Fields::of($this->controls));
    }

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
