<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\ThingKind;

/** One set-up of a comparison. */
final readonly class ComparedSetup
{
    /** Fewer plants than this have no price each. */
    private const A_PLANT = 1e-6;

    private const LACKS = ['too_cold', 'too_hot', 'frost', 'no_light', 'no_mat', 'dim', 'small'];

    /**
     * @param  bool  $fair  whether it supplies the list, so that its price compares with the others'
     * @param  bool  $fair_priced_in  whether it would with those plants bought that it cannot supply
     * @param  list<string>  $unsupplied  crops it neither raises nor buys
     * @param  ?float  $priced_in  money for one plant with those of them that somebody sells bought too; null where there are none
     * @param  float  $still_missing  plants then still missing
     * @param  float  $electricity  kWh
     * @param  ?Fitted  $fitted  with lamps and mats enough, where it is crowded for want of them
     * @param  int  $rank  1 is the first of all
     * @param  bool  $qualifies  as it stands in the ranking: supplies the list, with light, warmth and room for all of it
     * @param  list<array{code: string, crops: int}>  $lacks  light, warmth or time, and for how many crops
     * @param  ?float  $unsold_each  money for one plant of the grown crops that no nursery sells; null where there are none
     * @param  list<array{name: string, packs: int, cost: float}>  $to_buy  lasting things it does not have yet
     * @param  float  $lasting  money for those
     */
    private function __construct(
        public string $id,
        public bool $fair,
        public bool $fair_priced_in,
        public array $unsupplied,
        public ?float $priced_in,
        public float $still_missing,
        public float $electricity,
        public ?Fitted $fitted,
        public int $rank,
        public bool $qualifies,
        public array $lacks,
        public ?float $unsold_each,
        public array $to_buy,
        public float $lasting,
    ) {
    }

    public static function fromResult(SetupResult $result, Season $season, ?Fitted $fitted, int $rank, bool $qualifies): self
    {
        $unsupplied = [];
        // Of the plants that somebody sells: those it supplies, and then those it cannot.
        $supplied = $result->nursery_per_plant === null ? 0.0 : (float) $result->buy_total / $result->nursery_per_plant;
        $cost = (float) $result->same_per_plant * $supplied;
        $plants = $supplied;
        foreach ($result->crops as $i => $crop) {
            if ($crop->cost !== null) {
                continue;
            }
            $unsupplied[] = $crop->id;
            if ($crop->buy_cost !== null) {
                $cost += $crop->buy_cost;
                $plants += $season->crops[$i]->wanted;
            }
        }

        $toBuy = self::toBuy($result, $season);
        $stillMissing = $result->missing - ($plants - $supplied);

        return new self(
            id: $result->id,
            fair: $result->isFair(),
            fair_priced_in: $stillMissing < SetupResult::FAIR,
            unsupplied: $unsupplied,
            priced_in: $plants > $supplied ? $cost / $plants : null,
            still_missing: $stillMissing,
            electricity: array_sum($result->kwh),
            fitted: $fitted,
            rank: $rank,
            qualifies: $qualifies,
            lacks: self::lacks($result),
            unsold_each: self::unsoldEach($result),
            to_buy: $toBuy,
            lasting: (float) array_sum(array_column($toBuy, 'cost')),
        );
    }

    private static function unsoldEach(SetupResult $result): ?float
    {
        $unsold = array_filter($result->crops, fn (CropResult $crop): bool => $crop->grown && $crop->buy_cost === null);
        $useful = array_sum(array_column($unsold, 'useful'));

        return $useful < self::A_PLANT ? null : array_sum(array_column($unsold, 'cost')) / $useful;
    }

    /** @return list<array{code: string, crops: int}> */
    private static function lacks(SetupResult $result): array
    {
        $counts = array_count_values(array_merge(...array_column($result->crops, 'warnings'), ...[[]]));
        $lacks = [];
        foreach (self::LACKS as $code) {
            if (isset($counts[$code])) {
                $lacks[] = ['code' => $code, 'crops' => $counts[$code]];
            }
        }

        return $lacks;
    }

    /** @return list<array{name: string, packs: int, cost: float}> dearest first */
    private static function toBuy(SetupResult $result, Season $season): array
    {
        $once = array_column(array_filter($season->containers, fn (Container $pot): bool => $pot->singleUse), 'id', 'id');
        $things = [];
        foreach ($result->shopping as $line) {
            if ($line->cost > 0.0 && ThingKind::from($line->kind)->lasts() && ! isset($once[$line->id])) {
                $things[] = ['name' => ThingKind::from($line->kind)->nameOf($season, $line->id) ?? $line->id, 'packs' => $line->packs, 'cost' => $line->cost];
            }
        }
        usort($things, fn (array $a, array $b): int => $b['cost'] <=> $a['cost']);

        return $things;
    }
}
