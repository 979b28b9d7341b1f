<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Simulating;

use Closure;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Sowing\Distribution;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The season played many times, by the chances of costing rules, section 4: it is bad or good for all crops alike, a batch is lost
 * whole or not, each crop then finishes a number of plants by its own distribution. The same for the same seed, everywhere.
 */
final class Simulation
{
    public const MOST = 100_000;

    /** Of the highest number a draw can be. */
    private const FINE = 1 << 53;

    private const TENTH = 0.1;

    /** Bands of the picture of costs. */
    private const BANDS = 24;

    /** How often progress is told. */
    private const TELL = 500;

    /** @var array<int, list<list<float>>> by season, then crop: cumulative chances of 0, 1, 2, … plants */
    private array $tables = [];

    public function __construct(private readonly SetupBooks $books, private readonly SetupResult $result)
    {
        foreach (array_keys(TwoValues::WEIGHTS) as $season) {
            foreach ($books->plans as $crop => $plan) {
                $this->tables[$season][$crop] = self::cumulative($plan->sowing->finish->seasons[$season]);
            }
        }
    }

    /** @param  ?Closure(int, int): void  $progress  of so many seasons so many are played; what it throws ends it */
    public function play(int $runs, int $seed, ?Closure $progress = null): Simulated
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $mishap = $this->books->season()->mishap;
        $batches = [];
        foreach ($this->books->plans as $crop => $plan) {
            $batches[$plan->batch()][] = $crop;
        }
        $wanted = array_map(fn ($plan): int => $plan->crop->wanted, $this->books->plans);
        $missing = [];
        foreach ($this->books->onOffer() as $crop) {
            $missing[$crop] = $this->books->nursery->missing($this->books->plans[$crop]->crop) ?? [];
        }
        [$grown, $free] = $this->money();
        $played = [];
        for ($run = 0; $run < $runs; $run++) {
            if ($progress !== null && $run % self::TELL === 0) {
                $progress($run, $runs);
            }
            $season = $this->draw($random) < TwoValues::WEIGHTS[0] ? 0 : 1;
            $useful = $short = $lost = 0;
            $enough = true;
            $bought = 0.0;
            $isShort = false;
            $each = [];
            foreach ($batches as $batch) {
                $gone = $this->draw($random) < $mishap;
                $lost += $gone ? 1 : 0;
                foreach ($batch as $crop) {
                    $finished = $gone ? 0 : self::pick($this->tables[$season][$crop], $this->draw($random));
                    $short = max(0, $wanted[$crop] - $finished);
                    $useful += $wanted[$crop] - $short;
                    $enough = $enough && $short === 0;
                    $bought += $missing[$crop][$short] ?? 0.0;
                    $isShort = $isShort || ($short > 0 && isset($missing[$crop]));
                    $each[$crop] = $short;
                }
            }
            // Where nothing else is bought, whatever is missing costs a trip of its own.
            $bought += $isShort && $this->books->bought === [] ? $this->books->season()->nurseryTripCost : 0.0;
            $played[] = [$useful, $useful > 0 ? $grown / $useful : INF, $free === null ? null : $free - $bought, $season, $lost, $enough, $each];
        }

        return $this->said($played, $runs, $seed);
    }

    /** @return array{float, ?float} cost of the grown crops; what is kept against buying were nothing short, null where nothing is on offer */
    private function money(): array
    {
        $grown = $own = 0.0;
        foreach ($this->result->crops as $crop) {
            $grown += $crop->grown ? (float) $crop->cost : 0.0;
            $own += $crop->buy_cost === null ? 0.0 : (float) $crop->cost;
        }

        return [$grown, $this->result->buy_total === null ? null : $this->result->buy_total - $own];
    }

    /** @param  list<array{int, float, ?float, int, int, bool, array<int, int>}>  $played */
    private function said(array $played, int $runs, int $seed): Simulated
    {
        // The worst first: the fewest plants for what they want, so the dearest.
        usort($played, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $tenth = max(1, (int) round(self::TENTH * $runs));
        $worst = array_slice($played, 0, $tenth);
        $short = [];
        foreach ($this->books->plans as $crop => $plan) {
            $short[] = ['crop' => $plan->crop->id, 'lost' => array_sum(array_map(fn (array $one): int => $one[6][$crop], $worst)) / $tenth];
        }
        usort($short, fn (array $a, array $b): int => $b['lost'] <=> $a['lost']);
        $keeps = array_filter(array_column($played, 2), fn (?float $keep): bool => $keep !== null);
        $mean = fn (array $of): float => $of === [] ? 0.0 : array_sum($of) / count($of);

        return new Simulated(
            setup: $this->books->setup->id,
            runs: $runs,
            seed: $seed,
            useful: self::points(array_column($played, 0)),
            per_finished: self::points(array_filter(array_column($played,
                1), is_finite(...)), array_column($played, 1)),
            keep: $keeps === [] ? ['mean' => null, 'low' => null, 'high' => null] : self::points($keeps),
            p_keep: $keeps === [] ? null : count(array_filter($keeps, fn (float $keep): bool => $keep >= 0.0)) / $runs,
            p_all_enough: count(array_filter(array_column($played, 5))) / $runs,
            spread: self::bands(array_column($played, 1)),
            kinds: [self::kind('good', array_slice($played, -$tenth)), self::kind('usual', array_slice($played, $tenth, max(1,
                $runs - 2 * $tenth))), self::kind('bad', $worst)],
            bad: array_values(array_filter($short, fn (array $one): bool => $one['lost'] > 0.0)),
            made_bad: ['bad_season' => $mean(array_map(fn (array $one): int => 1 - $one[3], $worst)), 'mishaps' => $mean(array_column($worst, 4))],
        );
    }

    /**
     * @param  list<array{int, float, ?float, int, int, bool, array<int, int>}>  $of
     * @return array{name: string, useful: float, per_finished: ?float, keep: ?float}
     */
    private static function kind(string $name, array $of): array
    {
        $finite = array_filter(array_column($of, 1), is_finite(...));
        $keeps = array_filter(array_column($of, 2), fn (?float $keep): bool => $keep !== null);

        return ['name' => $name, 'useful' => array_sum(array_column($of, 0)) / max(1, count($of)),
            'per_finished' => $finite === [] ? null : array_sum($finite) / count($finite), 'keep' => $keeps === [] ? null : array_sum($keeps) / count($keeps)];
    }

    /**
     * Mean of the finite ones, 10 and 90 % points of all.
     *
     * @param  array<int, int|float>  $mean
     * @param  ?list<int|float>  $all
     * @return array{mean: ?float, low: ?float, high: ?float}
     */
    private static function points(array $mean, ?array $all = null): array
    {
        $all ??= array_values($mean);
        sort($all);
        $at = fn (float $share): ?float => is_finite($value = (float) ($all[max(0, (int) ceil($share * count($all) - 1e-9) - 1)] ?? INF)) ? $value : null;

        return ['mean' => $mean === [] ? null : array_sum($mean) / count($mean), 'low' => $at(self::TENTH), 'high' => $at(1.0 - self::TENTH)];
    }

    /**
     * @param  list<float>  $costs
     * @return list<array{from: float, to: float, count: int}>
     */
    private static function bands(array $costs): array
    {
        $finite = array_filter($costs, is_finite(...));
        if ($finite === []) {
            return [];
        }
        sort($finite);
        // The dearest hundredth does not stretch the picture: it stands in the last band.
        [$from, $to] = [$finite[0], $finite[(int) floor(0.99 * (count($finite) - 1))]];
        $width = max(1e-9, ($to - $from) / self::BANDS);
        $counts = array_fill(0, self::BANDS, 0);
        foreach ($finite as $cost) {
            $counts[max(0, min(self::BANDS - 1, (int) floor(($cost - $from) / $width)))]++;
        }

        return array_map(fn (int $i, int $n): array => ['from' => $from + $i * $width, 'to' => $from + ($i + 1) * $width, 'count' => $n],
            array_keys($counts), $counts);
    }

    private function draw(Randomizer $random): float
    {
        return $random->getInt(0, self::FINE - 1) / self::FINE;
    }

    /** @param  list<float>  $cumulative */
    private static function pick(array $cumulative, float $draw): int
    {
        $low = 0;
        $high = count($cumulative) - 1;
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $draw < $cumulative[$middle] ? ($high = $middle) : ($low = $middle + 1);
        }

        return $low;
    }

    /** @return list<float> */
    private static function cumulative(Distribution $of): array
    {
        $sum = 0.0;

        return array_map(function (float $mass) use (&$sum): float {
            return $sum += $mass;
        }, $of->upTo($of->last()));
    }
}
