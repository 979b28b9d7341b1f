<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Catalogue\Hardiness;
use JollyPenny\Core\Season\Day;

/**
 * A crop's hardening off day by day: a little longer outdoors each day, and a day that is too cold does not count, so that all that
 * comes after moves. The hours, the shade and what is too cold are common practice, no source.
 */
final readonly class Hardening
{
    /** Hours outdoors on the first day and on the last; between them it grows evenly. */
    private const FIRST_HOURS = 1.0;

    private const LAST_HOURS = 10.0;

    /** Out of the sun on the first days. */
    private const SHADE_DAYS = 3;

    /** So much warmer than the plant stands must the day become, °C. */
    private const MILD_C = 3.0;

    /** Longer than this nothing is put off for the weather. */
    private const MOST_DAYS_OFF = 14;

    /**
     * @param  list<HardeningDay>  $days  as far as the weather is known, and one after it
     * @param  int  $moved  days by which planting out moves
     * @param  string  $ready_on  first day on which it may be planted out
     */
    private function __construct(public array $days, public int $moved, public string $ready_on)
    {
    }

    /**
     * @param  int  $from  day number on which it first stood outdoors
     * @return ?self null where it is not hardened off, or that is far from today
     */
    public static function forPlan(CropPlan $plan, Hardiness $hardiness, OpenAir $weather, int $from): ?self
    {
        $stage = $plan->stages[count($plan->stages) - 1];
        $isHardened = $stage->place->outdoors && $stage->container !== null && ! $plan->stages[0]->place->outdoors;
        if (! $isHardened || $from > $weather->today + WeatherBook::AHEAD || $stage->end < $weather->today - self::MOST_DAYS_OFF) {
            return null;
        }
        $length = max(1, $stage->days());
        $days = [];
        $off = 0;
        for ($day = $from, $done = 0; $done < $length; $day++) {
            $known = $weather->book->on($day, $weather->today);
            // In doubt, and after a fortnight, the day counts.
            $mild = $known === null || $off >= self::MOST_DAYS_OFF
                || $known->high + $weather->shelterOf($stage->place, $day) >= $hardiness->standsC + self::MILD_C;
            $share = $length === 1 ? 1.0 : $done / ($length - 1);
            $hours = round(self::FIRST_HOURS + $share * (self::LAST_HOURS - self::FIRST_HOURS));
            $days[] = new HardeningDay(Day::ofNumber($day)->format(), $mild ? $hours : null, $done < self::SHADE_DAYS, $known?->high);
            $done += (int) $mild;
            $off += (int) ! $mild;
        }

        return new self($days, max(0, $day - $stage->end), Day::ofNumber($day)->format());
    }

    /** @return ?HardeningDay of one day */
    public function on(string $date): ?HardeningDay
    {
        return array_column($this->days, null, 'on')[$date] ?? null;
    }
}
