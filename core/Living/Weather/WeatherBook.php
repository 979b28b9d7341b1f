<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

/** All that is known of the weather at one place: what was measured, this year and in years past, and what was forecast on which day. */
final readonly class WeatherBook
{
    /** A forecast reaches so many days ahead. */
    public const AHEAD = 7;

    /**
     * @param  array<int, DayWeather>  $measured  by day number, in their order
     * @param  array<int, array<int, DayWeather>>  $forecasts  by the day each was made on, in their order, then by the day it is for
     */
    public function __construct(public array $measured = [], public array $forecasts = [])
    {
    }

    public function isEmpty(): bool
    {
        return $this->measured === [] && $this->forecasts === [];
    }

    /**
     * With days that were measured in the garden itself, which stand before those of a station.
     *
     * @param  array<int, DayWeather>  $own  by day number
     */
    public function with(array $own): self
    {
        if ($own === []) {
            return $this;
        }
        $measured = $own + $this->measured;
        ksort($measured);

        return new self($measured, $this->forecasts);
    }

    /** What a day was, or, seen from another, is said to become; null where nobody knows. */
    public function on(int $day, int $today): ?DayWeather
    {
        return ($day <= $today ? $this->measured[$day] ?? null : null) ?? $this->forecast($day, $today);
    }

    /** The last forecast for a day that was made on another, or before that. */
    public function forecast(int $day, int $by): ?DayWeather
    {
        // A day may be forecast from each of the days before it, or from the day itself.
        for ($made = min($by, $day); $made >= $day - self::AHEAD; $made--) {
            if (isset($this->forecasts[$made][$day])) {
                return $this->forecasts[$made][$day];
            }
        }

        return null;
    }
}
