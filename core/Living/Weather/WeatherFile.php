<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use InvalidArgumentException;
use JollyPenny\Core\Season\Day;
use stdClass;

/**
 * A place's weather as JSON, as the export of a garden has it: `{"measured": [{"date", "low", "high"}], "forecasts": [{"made_on", "days": […]}]}`, °C.
 */
final readonly class WeatherFile
{
    /** @throws InvalidArgumentException in words, with the place in the file */
    public static function read(stdClass $file): WeatherBook
    {
        $measured = self::days($file->measured ?? [], 'measured');
        $forecasts = [];
        foreach (self::list($file->forecasts ?? [], 'forecasts') as $i => $one) {
            $made = self::day($one instanceof stdClass ? $one->made_on ?? null : null, "forecasts[{$i}].made_on");
            $forecasts[$made->number] = self::days($one instanceof stdClass ? $one->days ?? [] : [], "forecasts[{$i}].days");
        }
        ksort($forecasts);

        return new WeatherBook($measured, $forecasts);
    }

    /** @return array<int, DayWeather> by day number, in their order */
    private static function days(mixed $list, string $path): array
    {
        $days = [];
        foreach (self::list($list, $path) as $i => $one) {
            $day = self::day($one instanceof stdClass ? $one->date ?? null : null, "{$path}[{$i}].date");
            [$low, $high] = $one instanceof stdClass ? [$one->low ?? null, $one->high ?? null] : [null, null];
            if (! is_numeric($low) || ! is_numeric($high)) {
                throw new InvalidArgumentException("{$path}[{$i}]: A day needs its lowest and highest, in °C: "
                    .'{"date": "2027-05-03", "low": 2.5, "high": 14}.');
            }
            try {
                $days[$day->number] = DayWeather::checked((float) $low, (float) $high);
            } catch (InvalidArgumentException $e) {
                throw new InvalidArgumentException("{$path}[{$i}]: {$e->getMessage()}");
            }
        }
        ksort($days);

        return $days;
    }

    /** @return list<mixed> */
    private static function list(mixed $value, string $path): array
    {
        return is_array($value) ? array_values($value) : throw new InvalidArgumentException("{$path}: This is no list of days. Write it as [{…}, {…}].");
    }

    private static function day(mixed $text, string $path): Day
    {
        try {
            return Day::parse(is_string($text) ? $text : '');
        } catch (InvalidArgumentException $e) {
            throw new InvalidArgumentException("{$path}: {$e->getMessage()}");
        }
    }
}
