<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Devices;

use JollyPenny\Core\Season\Day;

/**
 * What a device's readings say, from their means over spans of ten minutes: energy by day, power while on, the mean by day. Days are
 * those of UTC.
 */
final readonly class Measured
{
    /** Readings are taken together over so many seconds. */
    public const SPAN = 600;

    private const DAY = 86400;

    /** A plug that draws less than this share of what it draws at its most is off. */
    private const ON = 0.3;

    /** What is drawn at the most, but for spikes. */
    private const MOST = 0.95;

    /** Fewer spans than this say nothing. */
    private const ENOUGH = 6;

    /** @param  list<array{int, float}>  $spans  start (seconds since 1970, a multiple of SPAN) and mean, by time */
    public function __construct(private array $spans)
    {
    }

    /** @return list<array{date: string, hours: float, mean: float, kwh: float}> hours that were measured; kWh where it is power */
    public function days(): array
    {
        $days = [];
        foreach ($this->spans as [$at, $mean]) {
            $day = intdiv($at, self::DAY);
            $days[$day] ??= [0, 0.0];
            $days[$day][0]++;
            $days[$day][1] += $mean;
        }
        $hours = self::SPAN / 3600;

        return array_map(fn (int $day, array $sum): array => [
            'date' => Day::ofNumber($day)->format(),
            'hours' => $sum[0] * $hours,
            'mean' => $sum[1] / $sum[0],
            'kwh' => $sum[1] * $hours / 1000,
        ], array_keys($days), array_values($days));
    }

    /** Watts while it is on; null where too little was measured. */
    public function wattsOn(): ?float
    {
        $means = array_column($this->spans, 1);
        sort($means);
        $most = $means[(int) floor(self::MOST * (count($means) - 1))] ?? 0.0;
        $on = array_values(array_filter($means, fn (float $mean): bool => $mean >= self::ON * $most && $mean > 0.0));

        return count($on) < self::ENOUGH ? null : self::median($on);
    }

    /** The mean of all; null where too little was measured. */
    public function mean(): ?float
    {
        return count($this->spans) < self::ENOUGH ? null : array_sum(array_column($this->spans, 1)) / count($this->spans);
    }

    /** How much warmer than another place it was at the same times, in °C; null where they have too little in common. */
    public function above(self $other): ?float
    {
        $there = array_column($other->spans, 1, 0);
        $differences = [];
        foreach ($this->spans as [$at, $mean]) {
            if (isset($there[$at])) {
                $differences[] = $mean - $there[$at];
            }
        }
        sort($differences);

        return count($differences) < self::ENOUGH ? null : self::median($differences);
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function median(array $sorted): float
    {
        $middle = intdiv(count($sorted), 2);

        return count($sorted) % 2 === 1 ? $sorted[$middle] : ($sorted[$middle - 1] + $sorted[$middle]) / 2;
    }
}
