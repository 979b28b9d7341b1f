<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

use JollyPenny\Core\Plan\Germination\Viability;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\HomeTest;
use JollyPenny\Core\Season\Things\SeedLot;

/**
 * Whether seed in the drawer is worth its cells: the season costed with it, with a new packet instead, and, as if ten of its seeds had
 * been tried on damp paper, with each of the eleven outcomes. What a test is worth is what choosing after it saves on average.
 */
final readonly class SeedWorth
{
    public const TRIED = 10;

    /** Saving less than that part of a packet's price is no reason to buy one. A rule of ours. */
    private const HARDLY = 0.25;

    /**
     * @param  int  $alive_of_hundred  as it is believed
     * @param  int  $age  years
     * @param  float  $left  seeds in the drawer
     * @param  float  $with_it  money to fill the list, with it
     * @param  float  $with_new  money to fill the list, with a new packet of the year
     * @param  float  $new_dearer  money by which a new packet costs more than this seed
     * @param  bool  $hardly  a new packet would save too little to be worth buying
     * @param  bool  $keep  it is cheaper than a new packet
     * @param  ?float  $test_worth  money that a test of ten saves on average, less the ten seeds; null where it was tested already, or too few are left
     * @param  ?int  $throw_below  so few of ten coming up, and a new packet is cheaper; null where the test changes nothing
     */
    private function __construct(
        public string $lot,
        public string $name,
        public int $alive_of_hundred,
        public int $age,
        public float $left,
        public float $packet_price,
        public float $with_it,
        public float $with_new,
        public float $new_dearer,
        public bool $hardly,
        public bool $keep,
        public ?float $test_worth,
        public bool $test_pays,
        public ?int $throw_below,
    ) {
    }

    /** @return list<self> of all seed that is there, the oldest first */
    public static function all(SeasonCosting $costing, Setup $setup): array
    {
        $used = $costing->books($setup)->seed->pools;
        $lots = array_filter($costing->season->seedLots, fn (SeedLot $lot): bool => isset($used[$lot->id]) && $lot->packetsOwned > 0.0
            && $lot->packedFor < $costing->season->year);
        $found = array_map(fn (SeedLot $lot): self => self::forLot($costing, $setup, $lot), array_values($lots));
        usort($found, fn (self $a, self $b): int => $b->age <=> $a->age);

        return $found;
    }

    public static function forLot(SeasonCosting $costing, Setup $setup, SeedLot $lot): self
    {
        $season = $costing->season;
        $species = array_column($season->species, null, 'id')[$lot->species];
        $viability = Viability::forLot($lot, $species, $season->year);
        $cost = function (SeedLot $instead) use ($season, $setup, $lot): float {
            $lots = array_map(fn (SeedLot $one): SeedLot => $one->id === $lot->id ? $instead : $one, $season->seedLots);
            $result = (new SeasonCosting($season->with(seedLots: $lots)))->setup($setup);
            // What nobody raises then counts like bought plants: a crop that cannot be raised any more must not look cheap.
            $missing = array_sum(array_map(fn ($crop): float => $crop->cost === null ? (float) $crop->buy_cost : 0.0, $result->crops));

            return $result->fill_cost + $missing;
        };
        $perPacket = (float) ($lot->seedsPerPacket ?? 0);
        $left = $lot->packetsOwned * $perPacket;
        $with = $cost($lot);
        $new = $cost($lot->with(packedFor: $season->year, packetsOwned: 0.0, test: null, germination: null));
        $worth = $below = null;
        if ($lot->test === null && $left > self::TRIED) {
            $after = $lot->with(packetsOwned: ($left - self::TRIED) / $perPacket);
            $best = 0.0;
            foreach (TestOutcomes::chances($viability->aged, $viability->seedsKnown, self::TRIED) as $up => $chance) {
                $then = $cost($after->with(test: new HomeTest(self::TRIED, $up)));
                $best += $chance * min($then, $new);
                $below = $then > $new ? $up + 1 : $below;
            }
            $worth = min($with, $new) - $best;
        }

        return new self(
            lot: $lot->id,
            name: $lot->variety,
            alive_of_hundred: (int) round(100 * $viability->value),
            age: $viability->age,
            left: $left,
            packet_price: $lot->packetPrice,
            with_it: $with,
            with_new: $new,
            new_dearer: $new - $with,
            hardly: $with - $new < self::HARDLY * $lot->packetPrice,
            keep: $with <= $new,
            test_worth: $worth,
            test_pays: $worth !== null && $worth > 0.0 && $below !== null && $below <= self::TRIED,
            throw_below: $below,
        );
    }
}
