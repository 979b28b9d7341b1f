<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\User;
use JollyPenny\Core\Season\File\JsonText;
use stdClass;

/** The made-up seasons that come with the application. */
final class DemoSeason
{
    /** The first is the one that a new garden has in it. */
    public const NAMES = ['pennywhistle', 'gullsend'];

    private const FOLDER = 'database/demo';

    public static function giveTo(User $user): Season
    {
        $season = SeasonShelf::keep($user, self::document(self::NAMES[0]));
        $season->forceFill(['demo' => true])->saveQuietly();

        return $season;
    }

    public static function document(string $name): stdClass
    {
        return JsonText::parse((string) file_get_contents(base_path(self::FOLDER."/{$name}.json")));
    }
}
