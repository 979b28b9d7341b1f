<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A gardener. A trial garden has neither e-mail nor password yet.
 *
 * @property int $id
 * @property ?string $email
 * @property bool $trial
 */
final class User extends Authenticatable
{
    protected $guarded = ['id'];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['trial' => 'boolean', 'password' => 'hashed'];

    /** @return HasMany<Season, $this> */
    public function seasons(): HasMany
    {
        return $this->hasMany(Season::class);
    }
}
