<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Season\Season;

/**
 * The chance that a night as cold as something cannot stand comes on a day of spring or after it: from past years where there are
 * enough of them, else from the season's last frost and how far that strays.
 */
final readonly class FrostChance
{
    private const HALF_A_DAY = 0.5;

    /** How fast spring warms is read off the plan's months over so many days around the last frost. */
    private const AROUND_DAYS = 15;

    private const LEAST_RISE_C = 0.02;

    /**
     * @param  ?Frosts  $frosts  of past years; null where the season's own frost stands for them
     * @param  float  $mean  day number
     * @param  float  $spread  days
     */
    private function __construct(private ?Frosts $frosts, private float $mean, private float $spread, public int $years)
    {
    }

    /**
     * @param  float  $coldC  °C at which it dies
     * @return ?self null where nobody knows
     */
    public static function fromWeather(WeatherBook $book, Season $season, float $coldC): ?self
    {
        $frosts = Frosts::fromYears(FrostYears::last($book, $season->lastFrost, $coldC));
        if ($frosts->spread_days !== null) {
            return new self($frosts, 0.0, 0.0, count($frosts->years));
        }
        // In most years it never came so cold: then these few say less than a guess.
        $rise = $coldC === FrostYears::FROST_C ? 1.0 : self::risePerDay($season);
        if ($season->lastFrostSpreadDays <= 0.0 || $rise < self::LEAST_RISE_C) {
            return null;
        }

        return new self(null, $season->lastFrost->number + ($coldC - FrostYears::FROST_C) / $rise, $season->lastFrostSpreadDays, 0);
    }

    public function from(int $day): float
    {
        return $this->frosts === null ? 1.0 - NormalDistribution::cumulative(($day - self::HALF_A_DAY - $this->mean) / $this->spread)
            : (float) $this->frosts->chance($day);
    }

    /** °C by which a day of spring is warmer than the one before, in the open; 0 where the plan has no months. */
    private static function risePerDay(Season $season): float
    {
        $open = OpenAir::placeOf($season);
        $frost = $season->lastFrost->number;

        return (($open?->airOn($frost + self::AROUND_DAYS) ?? 0.0) - ($open?->airOn($frost - self::AROUND_DAYS) ?? 0.0)) / (2 * self::AROUND_DAYS);
    }
}
