<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Tries that are counted before they are made, so that many at once count as many. */
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
            if (RateLimiter::hit($key, $seconds) > $most) {
                throw new TooManyRequestsHttpException(max(1, RateLimiter::availableIn($key)), $words);
            }
        }
    }
}
