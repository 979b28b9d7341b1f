<?php

declare(strict_types=1);

namespace Tests;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season;

/** Seasons for tests, as decoded files that a test changes before it reads them. */
final class Seasons
{
    /** @return array<string, mixed> the demo season */
    public static function demo(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/../database/demo/pennywhistle.json'), true);
    }

    /** @return array<string, mixed> the smallest season that grows something: one crop in cells under one lamp */
    public static function small(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/fixtures/one-crop.json'), true);
    }

    /** @param  array<string, mixed>  $season */
    public static function read(array $season): Season
    {
        return (new SeasonReader)->read(self::json($season));
    }

    /** @param  array<string, mixed>  $season */
    public static function result(array $season, int $setup = 0): SetupResult
    {
        $read = self::read($season);

        return (new SeasonCosting($read))->setup($read->setups[$setup]);
    }

    /**
     * @param  array<string, mixed>  $season
     * @return list<string> path of each fault
     */
    public static function faults(array $season): array
    {
        try {
            self::read($season);

            return [];
        } catch (InvalidSeason $e) {
            return array_map(fn ($fault) => $fault->path, $e->faults);
        }
    }

    /** @param  array<string, mixed>  $season */
    public static function json(array $season): string
    {
        foreach ($season['setups'] ?? [] as $i => $setup) {
            if (is_array($setup) && isset($setup['overrides'])) {
                $season['setups'][$i]['overrides'] = (object) $setup['overrides'];
            }
        }

        return json_encode($season, JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }
}
