<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Tries that are counted before they are made, so that many at once count as many.
 *
 * The framework's own counter starts again at one where two first tries cross; this one only ever adds.
 */
final readonly class Tries
{
    /**
     * @param  array<string, int>  $limits  tries by what is counted
     * @param  int  $seconds  for which a try is remembered
     * @param  string  $words  to whoever has made too many
     *
     * @throws TooManyRequestsHttpException
     */
    public static function count(array $limits, string $words, int $seconds = 60): void
    {
        foreach ($limits as $key => $most) {
            $until = now()->getTimestamp() + $seconds;
            Cache::add(self::until($key), $until, $seconds);
            Cache::add(self::made($key), 0, $seconds);
            if (Cache::increment(self::made($key)) > $most) {
                throw new TooManyRequestsHttpException(max(1, (int) Cache::get(self::until($key), $until) - now()->getTimestamp()), $words);
            }
        }
    }

    public static function forget(string $key): void
    {
        Cache::forget(self::made($key));
        Cache::forget(self::until($key));
    }

    private static function made(string $key): string
    {
        return 'tries:'.sha1($key);
    }

    private static function until(string $key): string
    {
        return self::made($key).':until';
    }
}
