<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Energy\DailyTariff;
use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Things\Light;

/** The time of day from which a lamp's hours are cheapest, to the half hour. */
final readonly class BestHour
{
    private const STEP_MINUTES = 30;

    /** Rates that differ by less are equal. */
    private const SAME = 1e-9;

    /** @param  float  $saves  money over the season */
    private function __construct(public string $on_at, public float $saves)
    {
    }

    /** @return ?self null where no other time is cheaper */
    public static function forLight(Light $light, DailyTariff $tariff, float $kwh): ?self
    {
        $now = $tariff->meanOver($light->onAt, $light->hoursPerDay);
        [$best, $rate] = [null, $now - self::SAME];
        for ($minutes = 0; $minutes < ClockTime::MINUTES_A_DAY; $minutes += self::STEP_MINUTES) {
            $at = new ClockTime($minutes);
            $other = $tariff->meanOver($at, $light->hoursPerDay);
            if ($other < $rate - self::SAME) {
                [$best, $rate] = [$at, $other];
            }
        }

        return $best === null ? null : new self($best->format(), $kwh * ($now - $rate));
    }
}
