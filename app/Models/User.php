<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * A gardener. A trial garden has neither e-mail nor password yet.
 *
 * @property int $id
 * @property ?string $email
 * @property ?string $password
 * @property bool $trial
 * @property Carbon $last_seen_at
 * @property ?Carbon $created_at
 */
final class User extends Authenticatable
{
    protected $guarded = ['id'];

    /** @var array<string, mixed> */
    protected $attributes = ['email' => null, 'password' => null, 'remember_token' => null];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['trial' => 'boolean', 'password' => 'hashed', 'last_seen_at' => 'datetime'];

    protected static function booted(): void
    {
        self::creating(fn (self $user) => $user->forceFill(['last_seen_at' => now()]));
    }

    /** @return HasMany<Season, $this> */
    public function seasons(): HasMany
    {
        return $this->hasMany(Season::class);
    }

    /** A trial garden has no password; what Laravel makes of it for its cookie is made of an empty one. */
    public function getAuthPassword(): string
    {
        return (string) $this->password;
    }
}
