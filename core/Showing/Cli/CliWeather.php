<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Cli;

use InvalidArgumentException;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\State\LivedSeason;
use JollyPenny\Core\Living\Weather\ForecastTrust;
use JollyPenny\Core\Living\Weather\Frosts;
use JollyPenny\Core\Living\Weather\FrostYears;
use JollyPenny\Core\Living\Weather\WeatherFile;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** bin/jolly weather: what a season makes of its weather on one day, by the log of the file. */
final readonly class CliWeather
{
    /**
     * @return array<string, mixed>
     *
     * @throws InvalidSeason
     */
    public static function answer(Season $season, Setup $setup, string $weather, string $on): array
    {
        try {
            $today = Day::parse($on);
            $book = WeatherFile::read(JsonText::parse($weather));
        } catch (InvalidArgumentException $e) {
            throw InvalidSeason::because([], $e->getMessage(), 'Put it right, and run it again.');
        }
        $log = new LogBook($season->log);
        $now = new WeatherNow(LivedSeason::books(new SeasonCosting($season), $setup, $log), $log, $book, $today->number);

        return [
            'on' => $today->format(),
            'tonight' => $now->tonight(),
            'nights' => array_values(array_filter($now->nights, fn ($night): bool => $night->on >= $today->format())),
            'record' => $now->record(),
            'trust' => ForecastTrust::fromWeather($book, $today->number),
            'due' => array_values($now->due),
            'hardening' => (object) $now->hardening,
            'cold_beds' => (object) $now->coldBeds,
            'last_frost' => Frosts::fromYears(FrostYears::last($book, $season->lastFrost)),
            'first_frost' => Frosts::fromYears(FrostYears::first($book, $season->lastFrost)),
        ];
    }
}
