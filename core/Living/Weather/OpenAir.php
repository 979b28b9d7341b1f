<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Place;

/**
 * The air of a season's places as it was, as it is forecast, and as it is planned. The weather is that of the open air, which is the
 * coldest of the places outdoors; another place outdoors (a closed jug, a tunnel) stays as much warmer as the plan has it. What
 * the weather does otherwise than planned is carried over day by day; where nothing is known, the plan stands.
 */
final readonly class OpenAir
{
    /** The soil of a bed follows the air of so many days. Common practice, no source. */
    private const SOIL_DAYS = 5;

    private ?Place $open;

    /** @param  int  $today  day number; what comes after it is a forecast */
    public function __construct(Season $season, public WeatherBook $book, public int $today)
    {
        $this->open = self::placeOf($season);
    }

    /** The coldest of the places outdoors that have a temperature. */
    public static function placeOf(Season $season): ?Place
    {
        $open = null;
        foreach ($season->places as $place) {
            if ($place->outdoors && $place->tempC !== null && ($open === null || self::mean($place) < self::mean($open))) {
                $open = $place;
            }
        }

        return $open;
    }

    /** Mean air of a place outdoors on a day, °C; null where neither plan nor weather knows it. */
    public function airIn(Place $place, int $day): ?float
    {
        return self::moved($place->airOn($day), $this->anomaly($day)) ?? $this->book->on($day, $this->today)?->mean();
    }

    /** Mean soil of a bed there on a day, °C: what the last days were warmer or colder than planned, smoothed. */
    public function soilIn(Place $place, int $day): ?float
    {
        $plan = $place->airOn($day);
        $days = range($day - self::SOIL_DAYS + 1, $day);
        if ($plan === null) {
            $known = array_filter(array_map(fn (int $one): ?float => $this->book->on($one, $this->today)?->mean(), $days), is_float(...));

            return $known === [] ? null : array_sum($known) / count($known);
        }

        return $plan + array_sum(array_map(fn (int $one): float => $this->anomaly($one) ?? 0.0, $days)) / self::SOIL_DAYS;
    }

    /** By how much a place is warmer than the open air on a day, °C. */
    public function shelterOf(Place $place, int $day): float
    {
        return ($place->airOn($day) ?? $this->open?->airOn($day) ?? 0.0) - ($this->open?->airOn($day) ?? 0.0);
    }

    /** Whether a day's weather is measured, forecast or neither: then the plan stands for it. */
    public function sourceOf(int $day): string
    {
        return match (true) {
            $day <= $this->today && isset($this->book->measured[$day]) => 'measured',
            $this->book->forecast($day, $this->today) !== null => 'forecast',
            default => 'planned',
        };
    }

    /** By how much a day is warmer than the plan has it, °C; null where that is not known. */
    private function anomaly(int $day): ?float
    {
        $planned = $this->open?->airOn($day);
        $weather = $this->book->on($day, $this->today);

        return $planned === null || $weather === null ? null : $weather->mean() - $planned;
    }

    private static function moved(?float $planned, ?float $by): ?float
    {
        return $planned === null ? null : $planned + ($by ?? 0.0);
    }

    private static function mean(Place $place): float
    {
        return is_array($place->tempC) ? array_sum($place->tempC) / count($place->tempC) : (float) $place->tempC;
    }
}
