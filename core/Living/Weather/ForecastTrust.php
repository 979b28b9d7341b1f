<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

/**
 * How far a garden's own nights stray from the forecast: colder than it says by so much, and by chance by so much more. Learned from
 * the nights that were both forecast and measured; before there are any, 2 °C by chance and nothing besides, which weighs as much
 * as ten nights. A rule of ours; forecasts of a night's lowest are off by about 2 °C: common practice, no source.
 */
final readonly class ForecastTrust
{
    private const SPREAD_C = 2.0;

    private const NIGHTS = 10;

    /**
     * @param  float  $colder_c  the garden is so much colder than forecast; below 0 where it is warmer
     * @param  float  $spread_c  standard deviation besides
     * @param  int  $nights  that stand behind it
     */
    private function __construct(public float $colder_c, public float $spread_c, public int $nights)
    {
    }

    /** Before any night is known. */
    public static function fresh(): self
    {
        return new self(0.0, self::SPREAD_C, 0);
    }

    /** With the nights up to that day's dawn. */
    public static function fromWeather(WeatherBook $book, int $before): self
    {
        $known = array_filter(self::course($book), fn (int $made): bool => $made < $before, ARRAY_FILTER_USE_KEY);

        return $known === [] ? self::fresh() : $known[array_key_last($known)];
    }

    /** @return array<int, self> as it is once a night is known, by the evening before it, in their order */
    public static function course(WeatherBook $book): array
    {
        $course = [];
        $n = 0;
        $sum = $squares = 0.0;
        foreach ($book->forecasts as $made => $days) {
            // Of the evening before, which is when one has to make up one's mind.
            [$said, $measured] = [$days[$made + 1] ?? null, $book->measured[$made + 1] ?? null];
            if ($said === null || $measured === null) {
                continue;
            }
            $n++;
            $sum += $said->low - $measured->low;
            $squares += ($said->low - $measured->low) ** 2;
            $mean = $sum / ($n + self::NIGHTS);
            $around = max(0.0, $squares - 2 * $mean * $sum + $n * $mean ** 2);
            $course[$made] = new self($mean, sqrt((self::NIGHTS * self::SPREAD_C ** 2 + $around) / (self::NIGHTS + $n)), $n);
        }

        return $course;
    }
}
