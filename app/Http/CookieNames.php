<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Names of this installation's cookies. Browsers tell cookies apart by host and not by port: two copies on one host with the same names
 * would put their sessions over each other's. So each carries a mark of its installation, made from its key.
 */
final readonly class CookieNames
{
    /** The session's name before it carried a mark: read still, so that nobody loses a garden by an upgrade. */
    public const SESSION_BEFORE = 'jolly_penny';

    public static function session(string $key): string
    {
        return self::SESSION_BEFORE.'_'.self::mark($key);
    }

    /** Holds who was here, long after the session: the only way back into a garden without an account. */
    public static function garden(string $key): string
    {
        return 'jolly_garden_'.self::mark($key);
    }

    public static function token(string $key): string
    {
        return 'XSRF-TOKEN-'.self::mark($key);
    }

    public static function mark(string $key): string
    {
        return substr(hash('sha256', "cookies of {$key}"), 0, 8);
    }
}
