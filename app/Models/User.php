<?php

declare(strict_types=1);

namespace App\Models;

use App\Mail\NewPasswordLetter;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;

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

    public function sendPasswordResetNotification(#[\SensitiveParameter] $token): void
    {
        Mail::to((string) $this->email)->queue(new NewPasswordLetter((string) $this->email, $token));
    }
}
