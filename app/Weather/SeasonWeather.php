<?php

declare(strict_types=1);

namespace App\Weather;

use App\Devices\Readings;
use App\Models\Device;
use App\Models\WeatherPlace;
use App\Seasons\KeptSeason;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Weather\Emerging;
use JollyPenny\Core\Living\Weather\OpenAir;
use JollyPenny\Core\Living\Weather\SeenFrom;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Day;

/** A season's weather as its jobs, trays and calendar need it: that of its own year, with what thermometers on the bench say. */
final readonly class SeasonWeather
{
    /**
     * @param  SetupBooks  $books  as they go on from what was sown
     * @param  ?string  $today  the gardener's own day; where the season is long over or far ahead, the last day that something was written down
     * @return ?WeatherNow null where the garden knows no weather
     */
    public static function forSetup(KeptSeason $kept, SetupBooks $books, LogBook $log, ?string $today): ?WeatherNow
    {
        if ($today === null) {
            return null;
        }
        $place = WeatherPlace::ofSeason($kept->model);
        $thermometers = self::thermometers($kept);
        if ($place === null && $thermometers === []) {
            return null;
        }
        $book = $place === null ? new WeatherBook : WeatherDays::book($place, $kept->file->year);

        return self::at($book, $kept, $books, $log, SeenFrom::day($books, $log, Day::parse($today)), $thermometers);
    }

    /** @param  ?list<Device>  $thermometers  of the season; asked for where they are not known */
    public static function at(WeatherBook $book, KeptSeason $kept, SetupBooks $books, LogBook $log, Day $day, ?array $thermometers = null): WeatherNow
    {
        $read = ['mats' => [], 'places' => []];
        $open = OpenAir::placeOf($kept->file);
        $own = [];
        // Only what lies in the soil asks how warm a room or a tray was.
        $since = min([PHP_INT_MAX, ...Emerging::sown($books, $log->inSetup($books))]);
        foreach ($thermometers ?? self::thermometers($kept) as $device) {
            $since === PHP_INT_MAX ?: $read[$device->list][$device->thing] ??= Readings::dailyMeans($device, Day::ofNumber($since));
            if ($open !== null && $device->kind === DeviceKind::Air && $device->thing === $open->id) {
                $own += Readings::dailyRanges($device, $day);
            }
        }

        return new WeatherNow($books, $log, $book->with($own), $day->number, $read['mats'], $read['places']);
    }

    /** @return list<Device> */
    private static function thermometers(KeptSeason $kept): array
    {
        /** @var list<Device> */
        return Device::query()->where('season_id', $kept->model->id)->where('kind', '<>', DeviceKind::Meter)->orderBy('id')->get()->all();
    }
}
