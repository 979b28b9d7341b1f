<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\User;
use JollyPenny\Core\Season\File\JsonText;

/** The made-up seasons that come with the application. */
final class DemoSeason
{
    private const FOLDER = 'database/demo';

    public function __construct(private readonly SeasonStore $store)
    {
    }

    public function giveTo(User $user, string $name = 'pennywhistle'): Season
    {
        return $this->store->import($user, JsonText::parse((string) file_get_contents(base_path(self::FOLDER."/{$name}.json"))));
    }
}
