<?php

declare(strict_types=1);

namespace Tests\Oracle;

use DateTimeImmutable;

/**
 * A plain second account of docs/weather.md over arrays: days are dates as text, weather is [low, high] by date. It shares no class with the
 * core and is slow on purpose.
 */
final readonly class PlainWeather
{
    /**
     * @param  array<string, array{float, float}>  $measured  by date
     * @param  array<string, array<string, array{float, float}>>  $forecasts  by the date each was made on
     * @param  list<array<string, mixed>>  $places  rows of the season file
     */
    public function __construct(private array $measured, private array $forecasts, private array $places, private string $today)
    {
    }

    public static function plus(string $date, int $days): string
    {
        return (new DateTimeImmutable("{$date} 12:00:00 UTC"))->modify(sprintf('%+d days', $days))->format('Y-m-d');
    }

    public static function between(string $from, string $to): int
    {
        return (int) round(((new DateTimeImmutable("{$to} 12:00:00 UTC"))->getTimestamp() - (new DateTimeImmutable("{$from} 12:00:00 UTC"))->getTimestamp()) / 86400);
    }

    /** @return ?array{float, float} */
    public function on(string $date): ?array
    {
        if ($date <= $this->today && isset($this->measured[$date])) {
            return $this->measured[$date];
        }
        $best = null;
        foreach ($this->forecasts as $made => $days) {
            if ($made <= $this->today && $made <= $date && isset($days[$date]) && ($best === null || $made > $best)) {
                $best = $made;
            }
        }

        return $best === null ? null : $this->forecasts[$best][$date];
    }

    /** @param  array<string, mixed>  $place */
    public static function planned(array $place, string $date): ?float
    {
        $means = $place['temp_c'] ?? null;
        if (! is_array($means)) {
            return $means === null ? null : (float) $means;
        }
        $month = (int) substr($date, 5, 2);
        $middle = substr($date, 0, 8).'15';
        [$a, $b] = $date < $middle ? [(new DateTimeImmutable($middle))->modify('-1 month')->format('Y-m-d'), $middle]
            : [$middle, (new DateTimeImmutable($middle))->modify('+1 month')->format('Y-m-d')];
        [$from, $to] = [(int) substr($a, 5, 2), (int) substr($b, 5, 2)];

        return $means[$from - 1] + self::between($a, $date) / self::between($a, $b) * ($means[$to - 1] - $means[$from - 1]);
    }

    /** @return ?array<string, mixed> */
    private function open(): ?array
    {
        $outdoors = array_filter($this->places, fn (array $one): bool => ($one['outdoors'] ?? false) && ($one['temp_c'] ?? null) !== null);
        $mean = fn (array $one): float => is_array($one['temp_c']) ? array_sum($one['temp_c']) / 12 : (float) $one['temp_c'];
        usort($outdoors, fn (array $a, array $b): int => $mean($a) <=> $mean($b));

        return $outdoors[0] ?? null;
    }

    private function anomaly(string $date): ?float
    {
        [$open, $weather] = [$this->open(), $this->on($date)];

        return $open === null || $weather === null ? null : ($weather[0] + $weather[1]) / 2 - self::planned($open, $date);
    }

    /** @param  array<string, mixed>  $place */
    public function air(array $place, string $date): ?float
    {
        return self::planned($place, $date) + ($this->anomaly($date) ?? 0.0);
    }

    /** @param  array<string, mixed>  $place */
    public function bedSoil(array $place, string $date): float
    {
        $sum = 0.0;
        for ($n = 0; $n < 5; $n++) {
            $sum += $this->anomaly(self::plus($date, -$n)) ?? 0.0;
        }

        return self::planned($place, $date) + $sum / 5;
    }

    public function isMeasured(string $date): bool
    {
        return $date <= $this->today && isset($this->measured[$date]);
    }

    /**
     * Days until it is up, by the rates of the days; null where it is not within 120.
     *
     * @param  callable(string): float  $soil
     * @param  list<array{temp_c: float, days: ?float, percent: float}>  $table
     */
    public static function daysUp(string $sown, callable $soil, array $table, float $factor): ?int
    {
        $sum = 0.0;
        for ($n = 1; $n <= 120; $n++) {
            $sum += self::rate($table, $soil(self::plus($sown, $n - 1)));
            if ($sum >= $factor - 1e-9) {
                return $n;
            }
        }

        return null;
    }

    /** @param  list<array{temp_c: float, days: ?float, percent: float}>  $table */
    private static function rate(array $table, float $celsius): float
    {
        $rate = fn (array $row): float => $row['days'] === null ? 0.0 : 1 / $row['days'];
        $last = $table[count($table) - 1];
        if ($celsius <= $table[0]['temp_c']) {
            return $celsius == $table[0]['temp_c'] || ($table[0]['temp_c'] - $celsius <= 2 && $table[0]['percent'] > 0) ? $rate($table[0]) : 0.0;
        }
        if ($celsius >= $last['temp_c']) {
            return $celsius == $last['temp_c'] || ($celsius - $last['temp_c'] <= 2 && $last['percent'] > 0) ? $rate($last) : 0.0;
        }
        for ($i = 1; $table[$i]['temp_c'] < $celsius; $i++);
        $part = ($celsius - $table[$i - 1]['temp_c']) / ($table[$i]['temp_c'] - $table[$i - 1]['temp_c']);

        return (1 - $part) * $rate($table[$i - 1]) + $part * $rate($table[$i]);
    }

    /** @return array{float, float, int} how much colder the garden is than forecast, how far it strays, by how many nights; as known that evening */
    public function trust(string $evening): array
    {
        $errors = [];
        foreach ($this->forecasts as $made => $days) {
            $dawn = self::plus($made, 1);
            if ($made < $evening && isset($days[$dawn], $this->measured[$dawn])) {
                $errors[] = $days[$dawn][0] - $this->measured[$dawn][0];
            }
        }
        $n = count($errors);
        $colder = array_sum($errors) / ($n + 10);
        $square = 0.0;
        foreach ($errors as $error) {
            $square += ($error - $colder) ** 2;
        }

        return [$colder, sqrt((40 + $square) / (10 + $n)), $n];
    }

    /** The chance that what stands `$limit` is too cold by the dawn after an evening. */
    public function tooCold(string $evening, float $limit, float $shelter): ?float
    {
        $seen = min($evening, $this->today);
        $dawn = self::plus($evening, 1);
        $made = array_filter(array_keys($this->forecasts), fn (string $one): bool => $one <= $seen && isset($this->forecasts[$one][$dawn])
            && self::between($one, $dawn) <= 7);
        if ($made === []) {
            return null;
        }
        [$colder, $spread] = $this->trust($seen);

        return self::normal(($limit - ($this->forecasts[max($made)][$dawn][0] - $colder) - $shelter) / $spread);
    }

    /**
     * The last frost of each whole spring, and what they come to.
     *
     * @return array{years: array<int, ?string>, mean: float, spread: float, share: float, median: string}|null null with too few of them
     */
    public function lastFrosts(string $hoped, float $cold = 0.0): ?array
    {
        $north = (int) substr($hoped, 5, 2) < 7;
        $midsummer = fn (int $year): string => $north ? "{$year}-07-20" : ($year + 1).'-01-20';
        $years = [];
        for ($year = 1990; $year <= 2040; $year++) {
            [$there, $frost] = [0, null];
            for ($n = 1; $n <= 182; $n++) {
                $date = self::plus($midsummer($year), -$n);
                $there += (int) isset($this->measured[$date]);
                $frost ??= isset($this->measured[$date]) && $this->measured[$date][0] <= $cold ? $date : null;
            }
            if ($there >= 0.9 * 182) {
                $years[$year] = $frost;
            }
        }
        $days = [];
        foreach (array_filter($years) as $year => $date) {
            $days[] = self::between($midsummer($year), $date);
        }
        if (count($years) < 10 || count($days) <= count($years) / 2) {
            return null;
        }
        $mean = array_sum($days) / count($days);
        $spread = sqrt(array_sum(array_map(fn (int $one): float => ($one - $mean) ** 2, $days)) / (count($days) - 1));
        $all = [...array_fill(0, count($years) - count($days), -9999), ...$days];
        sort($all);
        $middle = array_slice($all, intdiv(count($all) - 1, 2), count($all) % 2 === 0 ? 2 : 1);
        $middle = array_map(fn (int $one): int => max($one, min($days)), $middle);
        $here = $midsummer((int) substr($hoped, 0, 4));

        return ['years' => $years, 'mean' => $mean, 'spread' => $spread, 'share' => count($days) / count($years),
            'median' => self::plus($here, (int) ceil(array_sum($middle) / count($middle)))];
    }

    /** The normal distribution by adding up its density in small steps. */
    public static function normal(float $z): float
    {
        $steps = 4000;
        $width = min(12.0, abs($z)) / $steps;
        $sum = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $sum += exp(-(($i + 0.5) * $width) ** 2 / 2) * $width;
        }
        $half = $sum / sqrt(2 * M_PI);

        return $z < 0 ? 0.5 - $half : 0.5 + $half;
    }
}
