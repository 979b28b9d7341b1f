<?php

declare(strict_types=1);

namespace App\Devices;

use Illuminate\Database\Eloquent\Model;
use Laravel\Sanctum\PersonalAccessToken;

/** What a device without a session shows: a token that is good for one thing. */
final readonly class DeviceToken
{
    /** Number and secret, as laravel/sanctum makes them. */
    private const TOKEN = '/^[0-9]{1,18}\|[A-Za-z0-9]{40,64}$/D';

    /** Whose token it is; null where it is none, was taken back, or is good for something else. */
    public static function owner(string $given, string $may): ?Model
    {
        // What is no token is never looked for.
        $token = preg_match(self::TOKEN, $given) === 1 ? PersonalAccessToken::findToken($given) : null;
        $owner = $token !== null && $token->can($may) ? $token->getRelationValue('tokenable') : null;

        return $owner instanceof Model ? $owner : null;
    }
}
