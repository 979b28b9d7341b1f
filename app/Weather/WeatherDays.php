<?php

declare(strict_types=1);

namespace App\Weather;

use App\Models\WeatherPlace;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Season\Day;

/** The weather of a place in the database: what was measured, a row for each year; what was forecast, a row for each day on which it was. */
final readonly class WeatherDays
{
    /** Years before today that are of use, and after it (a season is planned so far ahead). */
    private const YEARS_BACK = 120;

    private const YEARS_AHEAD = 2;

    /** Forecasts that are kept: two springs and summers of days. */
    private const MOST_FORECASTS = 400;

    public static function isSense(Day $day): bool
    {
        $year = (int) now()->format('Y');

        return $day->year() >= $year - self::YEARS_BACK && $day->year() <= $year + self::YEARS_AHEAD;
    }

    /**
     * What was measured. A day that is there already takes the new values.
     *
     * @param  array<int, DayWeather>  $days  by day number
     * @return array{kept: int, known: int, changed: int}
     */
    public static function measured(WeatherPlace $place, array $days): array
    {
        $byYear = [];
        foreach ($days as $day => $weather) {
            $date = Day::ofNumber($day)->format();
            $byYear[substr($date, 0, 4)][substr($date, 5)] = [$weather->low, $weather->high];
        }

        return DB::transaction(function () use ($place, $byYear): array {
            self::lock($place);
            $sum = ['kept' => 0, 'known' => 0, 'changed' => 0];
            foreach ($byYear as $year => $new) {
                $row = DB::table('weather_years')->where('weather_place_id', $place->id)->where('year', $year)->value('days');
                self::merge('weather_years', ['weather_place_id' => $place->id, 'year' => $year], is_string($row) ? $row : '{}', $new, $sum);
            }
            WeatherPlace::query()->whereKey($place->id)->update(['heard_at' => now()]);

            return $sum;
        });
    }

    /**
     * What was forecast on a day for the seven after it. Sent again, the later values hold.
     *
     * @param  array<int, DayWeather>  $days  by day number
     * @return array{kept: int, known: int, changed: int}
     *
     * @throws ValidationException where a day is not one of the seven
     */
    public static function forecast(WeatherPlace $place, Day $made, array $days): array
    {
        $new = [];
        foreach ($days as $day => $weather) {
            if ($day < $made->number || $day > $made->number + WeatherBook::AHEAD) {
                throw ValidationException::withMessages(['days' => 'A forecast of '.$made->format().' reaches to '
                    .$made->plus(WeatherBook::AHEAD)->format().': '.Day::ofNumber($day)->format().' is outside.']);
            }
            $new[Day::ofNumber($day)->format()] = [$weather->low, $weather->high];
        }

        return DB::transaction(function () use ($place, $made, $new): array {
            self::lock($place);
            $sum = ['kept' => 0, 'known' => 0, 'changed' => 0];
            $forecasts = DB::table('weather_forecasts')->where('weather_place_id', $place->id);
            $row = (clone $forecasts)->where('made_on', $made->format())->value('days');
            self::merge('weather_forecasts', ['weather_place_id' => $place->id, 'made_on' => $made->format()], is_string($row) ? $row : '{}', $new, $sum);
            $old = (clone $forecasts)->orderByDesc('made_on')->skip(self::MOST_FORECASTS)->value('made_on');
            $old === null ?: (clone $forecasts)->where('made_on', '<=', $old)->delete();
            WeatherPlace::query()->whereKey($place->id)->update(['heard_at' => now()]);

            return $sum;
        });
    }

    /**
     * @param  ?int  $season  year of a season, which needs what is from the year before it on; all without
     */
    public static function book(WeatherPlace $place, ?int $season = null): WeatherBook
    {
        $from = $season === null ? null : $season - 1;
        $measured = $forecasts = [];
        /** @var list<\stdClass> $years */
        $years = DB::table('weather_years')->where('weather_place_id', $place->id)->where('year', '>=', $from ?? 0)->orderBy('year')->get()->all();
        foreach ($years as $row) {
            $days = self::read($row->days);
            ksort($days);
            foreach ($days as $date => $pair) {
                $measured[Day::parse("{$row->year}-{$date}")->number] = $pair;
            }
        }
        /** @var list<\stdClass> $rows */
        $rows = DB::table('weather_forecasts')->where('weather_place_id', $place->id)->where('made_on', '>=', ($from ?? 1).'-01-01')
            ->orderBy('made_on')->get()->all();
        foreach ($rows as $row) {
            foreach (self::read($row->days) as $date => $pair) {
                $forecasts[Day::parse($row->made_on)->number][Day::parse($date)->number] = $pair;
            }
        }

        return new WeatherBook($measured, $forecasts);
    }

    /**
     * @return array{
     *     measured: list<array{date: string, low: float, high: float}>,
     *     forecasts: list<array{made_on: string, days: list<array{date: string, low: float, high: float}>}>,
     * }
     */
    public static function exported(WeatherPlace $place): array
    {
        $book = self::book($place);
        $list = fn (array $days): array => array_map(fn (int $day, DayWeather $one): array => ['date' => Day::ofNumber($day)->format(), 'low' => $one->low,
            'high' => $one->high], array_keys($days), array_values($days));

        return ['measured' => $list($book->measured), 'forecasts' => array_map(fn (int $made, array $days): array => [
            'made_on' => Day::ofNumber($made)->format(), 'days' => $list($days)], array_keys($book->forecasts), array_values($book->forecasts))];
    }

    /** Two that write at once write one after the other. */
    private static function lock(WeatherPlace $place): void
    {
        WeatherPlace::query()->whereKey($place->id)->lockForUpdate()->value('id');
    }

    /**
     * @param  'weather_years'|'weather_forecasts'  $table
     * @param  array<string, int|string>  $key
     * @param  array<string, array{float, float}>  $new  by date
     * @param  array{kept: int, known: int, changed: int}  $sum  what it is added to
     */
    private static function merge(string $table, array $key, string $old, array $new, array &$sum): void
    {
        /** @var array<string, array{float, float}> $days */
        $days = json_decode($old, true, 4, JSON_THROW_ON_ERROR);
        foreach ($new as $date => $pair) {
            $known = $days[$date] ?? null;
            $sum[$known === null ? 'kept' : ((float) $known[0] === $pair[0] && (float) $known[1] === $pair[1] ? 'known' : 'changed')]++;
            $days[$date] = $pair;
        }
        DB::table($table)->upsert([[...$key, 'days' => json_encode((object) $days, JSON_THROW_ON_ERROR)]], array_keys($key), ['days']);
    }

    /** @return array<string, DayWeather> by date */
    private static function read(string $days): array
    {
        /** @var array<string, array{float, float}> $pairs */
        $pairs = json_decode($days, true, 4, JSON_THROW_ON_ERROR);

        return array_map(fn (array $pair): DayWeather => new DayWeather((float) $pair[0], (float) $pair[1]), $pairs);
    }
}
