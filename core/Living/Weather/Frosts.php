<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Season\Day;

/**
 * The day of the last (or the first) frost over the years, as a normal distribution of the years that had one, thinned by those that
 * had none. Source: H. C. S. Thom and R. H. Shaw, Climatological analysis of freeze data for Iowa, Monthly Weather Review 86 (1958),
 * from memory: such days lie close to a normal distribution with the sample's mean and standard deviation (of n − 1).
 */
final readonly class Frosts
{
    /** Fewer years say too little. */
    public const YEARS = 10;

    private const SAFE = 0.9;

    /** The curve reaches so many standard deviations to either side. */
    private const REACH = 3.0;

    /** A plant goes out in the middle of a day. */
    private const HALF_A_DAY = 0.5;

    /**
     * @param  list<array{year: int, on: ?string, days: ?int}>  $years  each year's day; null where it had no frost
     * @param  ?string  $median  in the season's own year; null with too few years, or where most of them had none
     * @param  ?float  $spread_days  standard deviation
     * @param  list<array{on: string, safe: float}>  $curve  share of years with no frost on that day or after it (of the first frost: before it)
     * @param  ?string  $safe_on  first day (of the first frost: last day) that is safe in nine years of ten
     * @param  float  $mean  day number, in the season's own year
     * @param  float  $share  of the years that had a frost
     */
    private function __construct(
        public array $years,
        public ?string $median,
        public ?float $spread_days,
        public array $curve,
        public ?string $safe_on,
        private bool $isLast,
        private float $mean,
        private float $share,
    ) {
    }

    public static function fromYears(FrostYears $found): self
    {
        $days = [];
        foreach ($found->years as ['days' => $day]) {
            $day === null ?: $days[] = $day;
        }
        [$n, $all] = [count($days), count($found->years)];
        if ($days === [] || $all < self::YEARS || 2 * $n <= $all) {
            return new self($found->years, null, null, [], null, $found->isLast, 0.0, 0.0);
        }
        $mean = array_sum($days) / $n;
        $spread = sqrt(array_sum(array_map(fn (int $one): float => ($one - $mean) ** 2, $days)) / ($n - 1));
        $curve = self::curve($found->midsummer + $mean, $spread, $n / $all, $found->isLast);
        $safe = array_column(array_filter($curve, fn (array $point): bool => $point['safe'] >= self::SAFE), 'on');

        return new self($found->years, Day::ofNumber($found->midsummer + self::median($days, $all, $found->isLast))->format(), $spread, $curve,
            $safe === [] ? null : ($found->isLast ? $safe[0] : $safe[count($safe) - 1]), $found->isLast, $found->midsummer + $mean, $n / $all);
    }

    /** The chance that a frost comes on that day or after it (of the first frost: before it); null where nothing is known. */
    public function chance(int $day): ?float
    {
        return $this->spread_days === null ? null : self::chanceOn($day, $this->mean, $this->spread_days, $this->share, $this->isLast);
    }

    /** @return list<array{on: string, safe: float}> */
    private static function curve(float $mean, float $spread, float $share, bool $isLast): array
    {
        $curve = [];
        for ($day = (int) floor($mean - self::REACH * $spread); $day <= ceil($mean + self::REACH * $spread); $day++) {
            $curve[] = ['on' => Day::ofNumber($day)->format(), 'safe' => 1.0 - self::chanceOn($day, $mean, $spread, $share, $isLast)];
        }

        return $curve;
    }

    private static function chanceOn(int $day, float $mean, float $spread, float $share, bool $isLast): float
    {
        $from = $day - self::HALF_A_DAY - $mean;
        $before = $spread > 0.0 ? NormalDistribution::cumulative($from / $spread) : (float) ($from >= 0.0);

        return $share * ($isLast ? 1.0 - $before : $before);
    }

    /**
     * Years without a frost stand before all others, of the first frost after them.
     *
     * @param  non-empty-list<int>  $days  from midsummer, of the years that had one: more than half of all
     */
    private static function median(array $days, int $all, bool $isLast): int
    {
        $none = $all - count($days);
        sort($days);
        $place = ($all - 1) / 2 - ($isLast ? $none : 0);
        [$low, $high] = [max(0, (int) floor($place)), max(0, (int) ceil($place))];

        // Between two days the later, on the safe side.
        return (int) ceil(($days[min($low, count($days) - 1)] + $days[min($high, count($days) - 1)]) / 2);
    }
}
