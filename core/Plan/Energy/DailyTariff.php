<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Things\Electricity;

/** The price of a kWh at each time of day: its windows, otherwise the plain rate. Costing rules, section 6. */
final readonly class DailyTariff
{
    public function __construct(private Electricity $electricity)
    {
    }

    /** Money per kWh averaged over a day. */
    public function mean(): float
    {
        return $this->meanOver(new ClockTime(0), 24.0);
    }

    /** Money per kWh averaged over so many hours from a time of day on; the plain mean for no hours at all. */
    public function meanOver(ClockTime $from, float $hours): float
    {
        if ($hours <= 0.0) {
            return $this->electricity->rate;
        }
        $sum = $this->electricity->rate;
        foreach ($this->electricity->windows as $window) {
            $start = $window->from->minutes;
            $length = ($window->to->minutes - $start + ClockTime::MINUTES_A_DAY) % ClockTime::MINUTES_A_DAY ?: ClockTime::MINUTES_A_DAY;
            $shared = 0.0;
            foreach ([-ClockTime::MINUTES_A_DAY, 0, ClockTime::MINUTES_A_DAY] as $shift) {
                $begin = max($from->minutes, $start + $shift);
                $end = min($from->minutes + $hours * 60.0, $start + $shift + $length);
                $shared += max(0.0, $end - $begin);
            }
            $sum += ($window->rate - $this->electricity->rate) * $shared / ($hours * 60.0);
        }

        return $sum;
    }
}
