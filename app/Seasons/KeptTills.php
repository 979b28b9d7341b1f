<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use JollyPenny\Core\Showing\Pictures\SetupTills;

/** What a set-up's tills were at a revision, kept on the web machine for the next edit: without it the season before is costed once more. */
final readonly class KeptTills
{
    /** Somebody who plans edits again within seconds. */
    private const FOR = 1800;

    public static function put(Season $season, string $setup, SetupTills $tills): void
    {
        self::store()->put(self::key($season->id, $season->revision, $setup), $tills, self::FOR);
    }

    public static function before(EditedSeason $edited, string $setup): ?SetupTills
    {
        $tills = self::store()->get(self::key($edited->kept->model->id, $edited->revisionBefore, $setup));

        return $tills instanceof SetupTills ? $tills : $edited->tillsBefore($setup);
    }

    private static function store(): Repository
    {
        return Cache::store((string) config('cache.near'));
    }

    private static function key(int $season, int $revision, string $setup): string
    {
        return "tills:{$season}:{$revision}:{$setup}";
    }
}
