<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * Soil in which one species germinates, day by day: the rates of the days are added up until the seed is up. Costing rules,
 * section 3, step 6. Source: the thermal time of germination (Garcia-Huidobro, Monteith and Squire 1982), with a table in place of
 * one base temperature.
 */
final class Seedbed
{
    /** It is up by then, or not at all. */
    public const LONGEST_DAYS = 120;

    /** Less of what would at best come up is not worth sowing. */
    private const LEAST_RELATIVE = 0.05;

    /** Rounding must not cost a day. */
    private const TOLERANCE = 1e-9;

    /** @var array<int, array{float, float, float}> °C, rate and percent by day */
    private array $days = [];

    private readonly GerminationRow $best;

    /** @param  non-empty-list<GerminationRow>  $table */
    public function __construct(private readonly array $table, private readonly Soil $soil)
    {
        $this->best = TemperatureResponse::best($table);
    }

    /** Mean of a day, °C. */
    public function celsiusOn(int $day): float
    {
        return $this->on($day)[0];
    }

    /** The fewest days in which it is up in the warmth it likes best: those of the table's shortest row. */
    public function shortestDays(float $emergenceFactor): int
    {
        $days = array_filter(array_column($this->table, 'days'), fn (mixed $one): bool => $one !== null);

        return $days === [] ? 1 : max(1, Ceiling::roundUp($emergenceFactor * min($days)));
    }

    /** What is sown on a day. */
    public function sown(int $day, float $emergenceFactor): Emergence
    {
        $progress = $weighted = $warmth = 0.0;
        for ($n = 1; $n <= self::LONGEST_DAYS; $n++) {
            [$celsius, $rate, $percent] = $this->on($day + $n - 1);
            $warmth += $celsius;
            $progress += $rate;
            $weighted += $rate * $percent;
            if ($progress >= $emergenceFactor - self::TOLERANCE) {
                $relative = $progress * $this->best->percent > 0.0 ? $weighted / $progress / $this->best->percent : 0.0;
                $failure = $relative < self::LEAST_RELATIVE ? $this->failure($warmth / $n) : null;

                return new Emergence($day, $n, $relative, $warmth / $n, $failure);
            }
        }

        return $this->neverUp($day, $warmth);
    }

    /**
     * What is sown on the latest day from which it is up, and so many days are over, by a day.
     *
     * @param  int  $least  days it stands there anyway
     */
    public function upBy(int $end, float $emergenceFactor, int $least): Emergence
    {
        $progress = $warmth = 0.0;
        $longest = max(self::LONGEST_DAYS, $least);
        for ($length = 1; $length <= $longest; $length++) {
            [$celsius, $rate] = $this->on($end - $length);
            $warmth += $length <= self::LONGEST_DAYS ? $celsius : 0.0;
            $progress += $rate;
            if ($length >= $least && $progress >= $emergenceFactor - self::TOLERANCE) {
                $emergence = $this->sown($end - $length, $emergenceFactor);
                if ($emergence->isUp && $emergence->days <= $length) {
                    return $emergence;
                }
            }
        }

        return $this->neverUp($end - $longest, $warmth);
    }

    /** @param  float  $warmth  °C, summed over the days one has looked */
    private function neverUp(int $day, float $warmth): Emergence
    {
        $mean = $warmth / self::LONGEST_DAYS;

        return new Emergence($day, self::LONGEST_DAYS, 0.0, $mean, $this->failure($mean), isUp: false);
    }

    private function failure(float $celsius): Failure
    {
        return $celsius < $this->best->tempC ? Failure::TooCold : Failure::TooHot;
    }

    /** @return array{float, float, float} °C, rate and percent */
    private function on(int $day): array
    {
        $key = $this->soil->isSteady() ? 0 : $day;
        if (! isset($this->days[$key])) {
            $celsius = $this->soil->celsiusOn($day);
            $response = TemperatureResponse::at($this->table, $celsius);
            $this->days[$key] = [$celsius, $response->rate, $response->percent];
        }

        return $this->days[$key];
    }
}
