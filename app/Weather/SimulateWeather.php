<?php

declare(strict_types=1);

namespace App\Weather;

use App\Devices\DeviceClient;
use InvalidArgumentException;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Living\Weather\SimulatedWeather;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Plan\Drafting\OutdoorYear;
use JollyPenny\Core\Season\Day;

/** bin/jolly simulate-weather: posts past years, then a spring day by day with its forecasts, to a running application, as a station would. */
final class SimulateWeather
{
    private const USAGE = <<<'TEXT'
    Usage: bin/jolly simulate-weather --token TOKEN [--url http://127.0.0.1:8017] [--seed 1] [--last-frost 2027-05-28] [--first-frost 2027-09-20]
             [--from 2027-03-01] [--to 2027-06-30] [--years 12] [--swing 12] [--off 2] [--colder 0] [--cold-snap 2027-05-20] [--pause 0]
    Years of weather before the spring, then every day of it: what was measured that morning, and a forecast of the seven days after. The
    days wander around what the two frosts make of the year; --swing is °C from dawn to afternoon, --off how far forecasts of a dawn
    stray, --colder how much colder the garden lies than any forecast says, --pause seconds between two days.

    TEXT;

    private const OPTIONS = ['token' => '', 'url' => 'http://127.0.0.1:8017', 'seed' => '1', 'last-frost' => '2027-05-28', 'first-frost' => '2027-09-20',
        'from' => '2027-03-01', 'to' => '2027-06-30', 'years' => '12', 'swing' => '12', 'off' => '2', 'colder' => '0', 'cold-snap' => '', 'pause' => '0'];

    private const MOST_IN_A_POST = 366;

    /** @param  list<string>  $arguments */
    public static function run(array $arguments): int
    {
        $options = self::OPTIONS;
        foreach (array_chunk($arguments, 2) as $pair) {
            [$name, $value] = [substr($pair[0], 2), $pair[1] ?? ''];
            if (! isset(self::OPTIONS[$name]) || $value === '') {
                return self::usage();
            }
            $options[$name] = $value;
        }
        try {
            [$last, $first, $from, $to] = array_map(Day::parse(...), [$options['last-frost'], $options['first-frost'], $options['from'], $options['to']]);
            $snap = $options['cold-snap'] === '' ? null : Day::parse($options['cold-snap'])->number;
        } catch (InvalidArgumentException) {
            return self::usage();
        }
        if ($options['token'] === '' || $to->number < $from->number || (int) $options['years'] < 0 || (int) $options['years'] > 100) {
            return self::usage();
        }
        $begin = Day::parse(($from->year() - (int) $options['years']).'-01-01')->number;
        $weather = new SimulatedWeather(OutdoorYear::months($last, $first, false), $begin, $to->number + WeatherBook::AHEAD, (int) $options['seed'],
            (float) $options['swing'], (float) $options['off'], (float) $options['colder'], $snap);
        $client = new DeviceClient($options['url'], $options['token']);

        return self::play($client, $weather, $from->number, $to->number, (float) $options['pause']);
    }

    private static function play(DeviceClient $client, SimulatedWeather $weather, int $from, int $to, float $pause): int
    {
        $sum = ['posts' => 0, 'kept' => 0, 'known' => 0, 'changed' => 0, 'refused' => 0];
        $past = array_filter($weather->days, fn (int $day): bool => $day < $from, ARRAY_FILTER_USE_KEY);
        $bodies = array_map(fn (array $some): array => ['measured' => self::rows($some)], array_chunk($past, self::MOST_IN_A_POST, true));
        for ($day = $from; $day <= $to; $day++) {
            $bodies[] = ['measured' => self::rows([$day => $weather->days[$day]]),
                'forecast' => ['made_on' => Day::ofNumber($day)->format(), 'days' => self::rows($weather->forecast($day))]];
        }
        foreach ($bodies as $body) {
            $answer = $client->post('/api/device/weather', $body);
            if ($answer === null) {
                fwrite(STDERR, "Nobody takes the weather. Check the address and the token, and that the application runs.\n");

                return 1;
            }
            $sum['posts']++;
            foreach ($answer as $key => $n) {
                $sum[$key] += $n;
            }
            isset($body['forecast']) && $pause > 0.0 ? usleep((int) ($pause * 1e6)) : null;
        }
        echo json_encode($sum, JSON_THROW_ON_ERROR)."\n";

        return 0;
    }

    /**
     * @param  array<int, DayWeather>  $days  by day number
     * @return list<array{date: string, low: float, high: float}>
     */
    private static function rows(array $days): array
    {
        return array_map(fn (int $day, DayWeather $one): array => ['date' => Day::ofNumber($day)->format(), 'low' => $one->low, 'high' => $one->high],
            array_keys($days), array_values($days));
    }

    private static function usage(): int
    {
        fwrite(STDERR, self::USAGE);

        return 2;
    }
}
