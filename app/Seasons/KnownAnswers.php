<?php

declare(strict_types=1);

namespace App\Seasons;

use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use JollyPenny\Core\Plan\Sowing\Known;

/** What was worked out for a season, kept on the web machine until the next look at it. */
final readonly class KnownAnswers
{
    private const FOR = 1800;

    public static function forSeason(int $season): Known
    {
        $before = self::store()->get("known:{$season}");

        return new Known(is_array($before) ? $before : []);
    }

    public static function keep(int $season, Known $known): void
    {
        $known->hasGrown() && self::store()->put("known:{$season}", $known->answers(), self::FOR);
    }

    private static function store(): Repository
    {
        return Cache::store((string) config('cache.near'));
    }
}
