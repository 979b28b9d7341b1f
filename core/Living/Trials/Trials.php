<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trials;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Crops\Trial;
use JollyPenny\Core\Season\Crops\TrialMeasure;
use JollyPenny\Core\Season\Crops\TrialSide;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\SeedLot;

/** The trials of a season, decided by what was counted. */
final readonly class Trials
{
    /** Fewer plants than this have no price each. */
    private const A_PLANT = 1e-6;

    /** The words for how sure one is, by the chance that it means nothing. Common practice, no source. */
    private const WORDS = [[0.001, 'Hardly chance'], [0.01, 'Very unlikely to be chance'], [0.05, 'Unlikely to be chance'], [0.2, 'Could be chance']];

    /** @param  SetupResult  $result  of the set-up by which they are raised */
    public function __construct(private Season $season, private LogBook $log, private SetupResult $result)
    {
    }

    /** @return list<TrialResult> */
    public function results(): array
    {
        return array_map($this->result(...), $this->season->trials);
    }

    private function result(Trial $trial): TrialResult
    {
        $sides = array_map(fn (TrialSide $side): array => $this->side($side, $trial->measure), $trial->sides);
        [$a, $b] = $sides;
        $done = fn (?int $better, ?float $chance, string $words, ?float $saves): TrialResult => new TrialResult(
            $trial->id, $trial->name, $trial->measure->value, $sides, $better, $chance, $words, $saves,
        );
        if ($a['of'] === 0 || $b['of'] === 0) {
            return $done(null, null, 'Not counted yet: count '.($a['of'] === 0 ? $a['name'] : $b['name']).' to decide it.', null);
        }
        $chance = ExactTest::twoSided($a['came'], $a['of'], $b['came'], $b['of']);
        [$rateA, $rateB] = [$a['came'] / $a['of'], $b['came'] / $b['of']];
        $verb = $trial->measure === TrialMeasure::Up ? 'came up' : 'lived';
        if (abs($rateA - $rateB) < 1e-12) {
            return $done(null, $chance, "No difference: {$this->counted($a)} and {$this->counted($b)} {$verb}.", null);
        }
        [$best, $other, $better] = $rateA > $rateB ? [$a, $b, 0] : [$b, $a, 1];
        $words = "{$best['name']} did better: {$this->counted($best)} {$verb} against {$this->counted($other)} of {$other['name']}. "
            .self::sure($chance).'.'.$this->besides($trial);

        return $done($better, $chance, $words, $best['each'] === null || $other['each'] === null ? null : $other['each'] - $best['each']);
    }

    /** @return array{name: string, of: int, came: int, each: ?float} */
    private function side(TrialSide $side, TrialMeasure $measure): array
    {
        $of = $came = 0;
        $cost = $useful = 0.0;
        $costs = array_column($this->result->crops, null, 'id');
        foreach ($side->crops as $crop) {
            $facts = $this->log->crop($crop, $side->trays);
            if ($facts->up === null) {
                continue;
            }
            $lived = min($facts->up, ($facts->alive ?? 0) + $facts->gone);
            $of += $measure === TrialMeasure::Up ? $facts->up_of : $facts->up;
            $came += $measure === TrialMeasure::Up ? min($facts->up, $facts->up_of) : $lived;
            // What a plant costs is what the list says.
            $planned = $costs[$crop] ?? null;
            $cost += (float) ($planned->cost ?? 0.0);
            $useful += (float) ($planned->useful ?? 0.0);
        }

        return ['name' => $side->name, 'of' => $of, 'came' => $came, 'each' => $useful < self::A_PLANT ? null : $cost / $useful];
    }

    /** What differs between the sides besides what is tested: two varieties, or two packets of one. */
    private function besides(Trial $trial): string
    {
        [$a, $b] = $trial->sides;

        return match (true) {
            $this->seedOf($a, fn (SeedLot $lot): string => $lot->species) !== $this->seedOf($b, fn (SeedLot $lot): string => $lot->species) => ' These are also two species.',
            $this->seedOf($a, fn (SeedLot $lot): string => $lot->variety) !== $this->seedOf($b, fn (SeedLot $lot): string => $lot->variety) => ' These are also two varieties.',
            default => '',
        };
    }

    /**
     * @param  callable(SeedLot): string  $what
     * @return array<int, string> what is said of a side's seed, in order and each once
     */
    private function seedOf(TrialSide $side, callable $what): array
    {
        $lots = array_column($this->season->seedLots, null, 'id');
        $crops = array_column($this->season->crops, 'lot', 'id');
        $said = array_map(fn (string $crop): string => isset($crops[$crop]) ? $what($lots[$crops[$crop]]) : '', $side->crops);
        sort($said);

        return array_unique($said);
    }

    /** @param  array{name: string, of: int, came: int, each: ?float}  $side */
    private function counted(array $side): string
    {
        return "{$side['came']} of {$side['of']}";
    }

    private static function sure(float $chance): string
    {
        foreach (self::WORDS as [$below, $words]) {
            if ($chance < $below) {
                return $words;
            }
        }

        return 'Could well be chance';
    }
}
