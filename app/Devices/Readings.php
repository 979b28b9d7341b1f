<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Season;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Devices\Measured;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Season\Day;

/** A device's readings in the database: each once, by the time at which it was taken. */
final readonly class Readings
{
    /** In one post. */
    public const MOST = 100;

    /** Of all devices of a garden: ten of them, each once a minute for two months and a half. */
    public const MOST_OF_A_GARDEN = 1_000_000;

    /** Taken later than this by the server's clock, a reading is nonsense; so is one of before the device was known by so long. Days. */
    private const AHEAD = 1;

    private const LONG_AGO = 800;

    /** A day counts where so many of its hours were measured. */
    private const ENOUGH_HOURS = 12;

    /** Its lowest and highest are known only where nearly all of them were. */
    private const RANGE_HOURS = 20;

    private const RECENT_DAYS = 60;

    private const TIME = '/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,6})?(Z|[+-]\d{2}:\d{2})$/D';

    /**
     * @param  array<array-key, mixed>  $readings  as they were sent
     * @return array{kept: int, known: int, refused: int}
     *
     * @throws ValidationException where the garden holds as many as it may
     */
    public static function add(Device $device, array $readings): array
    {
        $all = (int) Device::query()->whereIn('season_id', Season::withTrashed()->select('id')->where('user_id', $device->gardener()))->sum('kept');
        if ($all >= self::MOST_OF_A_GARDEN) {
            throw ValidationException::withMessages(['readings' => 'This garden holds a million readings, which is all there is room for.'
                .' Take out a device you no longer need.']);
        }
        $rows = [];
        $now = new DateTimeImmutable('now');
        foreach ($readings as $reading) {
            $at = is_array($reading) ? self::time($reading['at'] ?? null, $now) : null;
            $value = is_array($reading) ? $reading['value'] ?? null : null;
            if ($at !== null && (is_int($value) || is_float($value)) && $device->kind->isSense((float) $value)) {
                $rows[$at] ??= ['device_id' => $device->id, 'at' => $at, 'value' => (float) $value];
            } else {
                $rows[] = null;
            }
        }
        $good = array_values(array_filter($rows));
        $refused = count($rows) - count($good);
        $kept = $good === [] ? 0 : DB::table('readings')->insertOrIgnore($good);
        Device::query()->whereKey($device->id)
            ->update(['heard_at' => now(), 'refused' => DB::raw("refused + {$refused}"), 'kept' => DB::raw("kept + {$kept}")]);

        return ['kept' => $kept, 'known' => count($readings) - $refused - $kept, 'refused' => $refused];
    }

    public static function measured(Device $device): Measured
    {
        /** @var list<\stdClass> $rows */
        $rows = DB::select('SELECT (floor(extract(epoch FROM at) / ?) * ?)::bigint AS span, avg(value) AS mean FROM readings'
            .' WHERE device_id = ? GROUP BY span ORDER BY span', [Measured::SPAN, Measured::SPAN, $device->id]);

        return new Measured(array_map(fn (\stdClass $row): array => [(int) $row->span, (float) $row->mean], $rows));
    }

    /**
     * The mean of each day (of UTC) of which enough was measured, from a day on.
     *
     * @return array<int, float> by day number
     */
    public static function dailyMeans(Device $device, Day $from): array
    {
        $days = [];
        foreach (self::byDay($device, $from) as $row) {
            (int) $row->hours < self::ENOUGH_HOURS ?: $days[(int) $row->day] = (float) $row->mean;
        }

        return $days;
    }

    /**
     * The lowest and highest of each day (of UTC) of which enough was measured, from two months before a day on.
     *
     * @return array<int, DayWeather> by day number
     */
    public static function dailyRanges(Device $device, Day $day): array
    {
        $ranges = [];
        foreach (self::byDay($device, $day->plus(-self::RECENT_DAYS)) as $row) {
            (int) $row->hours < self::RANGE_HOURS ?: $ranges[(int) $row->day] = new DayWeather((float) $row->low, (float) $row->high);
        }

        return $ranges;
    }

    /** @return list<\stdClass> day number, mean, lowest and highest, and of how many hours they are; hour by hour first, so that each counts once */
    private static function byDay(Device $device, Day $from): array
    {
        /** @var list<\stdClass> */
        return DB::select('SELECT hour / 24 AS day, avg(mean) AS mean, min(low) AS low, max(high) AS high, count(*) AS hours FROM ('
            .'SELECT floor(extract(epoch FROM at) / 3600)::int AS hour, avg(value) AS mean, min(value) AS low, max(value) AS high'
            .' FROM readings WHERE device_id = ? AND at >= ? GROUP BY hour) AS by_hour GROUP BY day ORDER BY day', [$device->id, $from->format()]);
    }

    private static function time(mixed $text, DateTimeImmutable $now): ?string
    {
        if (! is_string($text) || preg_match(self::TIME, $text) !== 1) {
            return null;
        }
        $at = date_create_immutable($text);
        // PHP takes February 30 for March 2.
        if ($at === false || ! checkdate((int) substr($text, 5, 2), (int) substr($text, 8, 2), (int) substr($text, 0, 4))) {
            return null;
        }
        $days = ($at->getTimestamp() - $now->getTimestamp()) / 86400;

        return $days > self::AHEAD || $days < -self::LONG_AGO ? null : $at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s.uP');
    }
}
