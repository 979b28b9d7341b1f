<?php

declare(strict_types=1);

namespace Tests;

use PHPUnit\Framework\Assert;

/**
 * No query on a garden's tables without its garden: a person, a season, a device, or a row's own key, which only they know. So a garden can
 * live in any database.
 */
final class GardenQueries
{
    /** By table, what a query on it may be reached by. */
    private const KEYS = [
        'users' => ['id', 'email'],
        'seasons' => ['user_id', 'id'],
        'season_changes' => ['season_id', 'id'],
        'log_entries' => ['season_id', 'id'],
        'photos' => ['season_id', 'id'],
        'purchases' => ['season_id', 'id'],
        'works' => ['season_id', 'user_id', 'id'],
        'rolls' => ['season_id', 'user_id', 'made_id', 'id'],
        'calendar_feeds' => ['season_id', 'token', 'id'],
        'devices' => ['season_id', 'token', 'id'],
        'readings' => ['device_id'],
        'weather_places' => ['user_id', 'id'],
        'weather_years' => ['weather_place_id'],
        'weather_forecasts' => ['weather_place_id'],
        'prices' => ['user_id', 'id'],
        'shed_items' => ['user_id', 'id'],
    ];

    public static function check(string $sql): void
    {
        Assert::assertSame([], self::unowned($sql), "This asks for rows without saying whose they are:\n{$sql}");
    }

    /** @return list<string> tables of gardens that are asked without a key of theirs */
    public static function unowned(string $sql): array
    {
        if (preg_match('/^\s*insert\b/i', $sql) === 1) {
            return [];
        }
        preg_match_all('/\b(?:from|join|update)\s+"?(\w+)"?/i', $sql, $tables);
        $unowned = [];
        foreach (array_unique($tables[1]) as $table) {
            $keys = self::KEYS[strtolower($table)] ?? null;
            if ($keys !== null && preg_match('/\b(?:where|and|or|on)\b[\s(]*(?:"?\w+"?\.)?"?(?:'.implode('|', $keys).')"?\s*(?:=|in\b)/i', $sql) !== 1) {
                $unowned[] = strtolower($table);
            }
        }

        return $unowned;
    }
}
