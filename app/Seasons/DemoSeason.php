<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Device;
use App\Models\Purchase;
use App\Models\Season;
use App\Models\User;
use App\Models\WeatherPlace;
use App\Weather\WeatherDays;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\SimulatedMeter;
use JollyPenny\Core\Living\Weather\SimulatedWeather;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\JsonText;
use stdClass;

/** The made-up seasons that come with the application. */
final class DemoSeason
{
    /** The first is the one that a new garden has in it. */
    public const NAMES = ['pennywhistle', 'gullsend', ...self::LIVED];

    private const FOLDER = 'database/demo';

    /** The first in May, and when it is over, with what was written down, paid and measured. */
    private const LIVED = ['may', 'october'];

    /** The readings are of every ten minutes. */
    private const EVERY = 600;

    private const DAY = 86400;

    public static function giveTo(User $user): Season
    {
        $season = SeasonShelf::keep($user, self::document(self::NAMES[0]));
        $season->forceFill(['demo' => true])->saveQuietly();

        return $season;
    }

    public static function document(string $name): stdClass
    {
        if (! in_array($name, self::LIVED, true)) {
            return self::read($name);
        }
        $document = self::read(self::NAMES[0]);
        $lived = self::read($name);
        foreach (get_object_vars($lived->season) as $key => $value) {
            $document->{$key} = $value;
        }
        // It went out some days later than one would plan now.
        foreach ($document->crops as $crop) {
            $crop->plant_out_offset_days = $lived->plant_out_offset_days->{$crop->id} ?? $crop->plant_out_offset_days;
        }

        return $document;
    }

    /** What of a made-up season does not stand in its file: purchases, devices and what they measured, the weather. */
    public static function furnish(Season $season, string $name): void
    {
        if (! in_array($name, self::LIVED, true)) {
            return;
        }
        $more = self::read($name);
        foreach ($more->purchases as $one) {
            Purchase::query()->create(['season_id' => $season->id, 'token' => $one->token, 'kind' => $one->kind, 'thing' => $one->thing,
                'name' => $one->name, 'packs' => $one->packs, 'paid' => $one->paid, 'bought_on' => $one->on, 'shop' => $one->shop]);
        }
        foreach ($more->devices as $one) {
            $device = Device::query()->create(['season_id' => $season->id, 'name' => $one->name, 'kind' => $one->kind, 'list' => $one->list,
                'thing' => $one->thing]);
            self::measure($device, $one->simulated);
        }
        self::weather($season, $more->weather);
    }

    /** Past years of weather and a spring's forecasts, at a place of their own, so that nobody's real thermometer is mixed up with them. */
    private static function weather(Season $season, stdClass $like): void
    {
        $place = WeatherPlace::query()->firstOrCreate(['user_id' => $season->user_id, 'name' => $like->name, 'demo' => true]);
        [$from, $to] = [Day::parse($like->from)->number, Day::parse($like->to)->number];
        $simulated = new SimulatedWeather($like->months, $from, $to + WeatherBook::AHEAD, $like->seed, $like->swing, colderC: $like->colder);
        WeatherDays::measured($place, array_filter($simulated->days, fn (int $day): bool => $day <= $to, ARRAY_FILTER_USE_KEY));
        foreach ($simulated->forecasts(Day::parse($like->forecasts_from)->number, Day::parse($like->forecasts_to)->number) as $made => $days) {
            WeatherDays::forecast($place, Day::ofNumber($made), $days);
        }
        $season->forceFill(['weather_place_id' => $place->id])->saveQuietly();
    }

    private static function measure(Device $device, stdClass $like): void
    {
        $meter = new SimulatedMeter(DeviceKind::from($device->kind->value), $like->level, $like->hours, self::EVERY, seed: $like->seed);
        $from = (int) strtotime("{$like->from} UTC");
        $days = (int) $like->days;
        foreach ($meter->posts($from, intdiv($days * self::DAY, self::EVERY)) as $post) {
            DB::table('readings')->insertOrIgnore(array_map(fn (array $one): array => ['device_id' => $device->id, ...$one], $post));
        }
        $device->update(['heard_at' => gmdate('Y-m-d\TH:i:s\Z', $from + $days * self::DAY)]);
    }

    private static function read(string $name): stdClass
    {
        return JsonText::parse((string) file_get_contents(base_path(self::FOLDER."/{$name}.json")));
    }
}
