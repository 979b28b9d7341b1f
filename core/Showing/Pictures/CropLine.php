<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Germination\Viability;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\SeasonIndex;

/** What a line of the grow list shows beyond the result: seed of a hundred, the strip of sites, what the verdict saves. */
final readonly class CropLine
{
    /** The strip shows no more marks than this. */
    private const MARKS = 60;

    /**
     * @param  int  $alive_of_hundred  seed alive at its age and after its test
     * @param  int  $fresh_of_hundred  the same seed when fresh
     * @param  int  $aged_of_hundred  the same seed at its age, without its test
     * @param  int  $seeds_known  what that is worth, in seeds tested
     * @param  ?int  $come_up_of_hundred  of it, where it is sown
     * @param  ?array{wanted: int, surplus: int, lost: int, each: int}  $strip  sites by what becomes of them on average; `each` sites to a mark
     * @param  ?float  $nursery_each  price of one bought plant
     * @param  ?float  $saves  money the verdict saves against the other way
     */
    private function __construct(
        public int $age,
        public int $alive_of_hundred,
        public int $fresh_of_hundred,
        public int $aged_of_hundred,
        public int $seeds_known,
        public ?int $come_up_of_hundred,
        public ?array $strip,
        public ?float $nursery_each,
        public ?float $saves,
    ) {
    }

    public static function forCrop(CropResult $result, Crop $crop, SeasonIndex $index): self
    {
        $lot = $index->lots[$crop->lot];
        $viability = Viability::forLot($lot, $index->species[$lot->species], $index->season->year);

        return new self(
            age: $viability->age,
            alive_of_hundred: (int) round(100 * $viability->value),
            fresh_of_hundred: (int) round(100 * $viability->fresh),
            aged_of_hundred: (int) round(100 * $viability->aged),
            seeds_known: $viability->seedsKnown - ($lot->test->sown ?? 0),
            come_up_of_hundred: $result->g === null ? null : (int) round(100 * $result->g),
            strip: self::strip($result, $crop->wanted),
            nursery_each: $result->boughtEach(),
            saves: self::saves($result),
        );
    }

    /** @return ?array{wanted: int, surplus: int, lost: int, each: int} */
    private static function strip(CropResult $result, int $wanted): ?array
    {
        if ($result->sites === null || $result->finished === null) {
            return null;
        }
        // A pricked-out pot holds many: its strip is of plants, never fewer than finish.
        $units = max($result->sites, (int) ceil($result->finished));
        $each = max(1, (int) ceil($units / self::MARKS));
        $filled = (int) round(min($result->finished, $wanted) / $each);
        $surplus = (int) round(max(0.0, $result->finished - $wanted) / $each);

        return [
            'wanted' => $filled,
            'surplus' => $surplus,
            'lost' => max(0, (int) ceil($units / $each) - $filled - $surplus),
            'each' => $each,
        ];
    }

    private static function saves(CropResult $result): ?float
    {
        if ($result->buy_cost === null || $result->cost === null || $result->extra_cost === null) {
            return null;
        }
        $short = $result->shortfallBought();

        return match ($result->verdict) {
            'buy' => $result->extra_cost + $short - $result->buy_cost,
            'grow_along' => $result->buy_cost - $result->extra_cost - $short,
            default => $result->buy_cost - $result->cost - $short,
        };
    }
}
