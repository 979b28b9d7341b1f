<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Season\Things\Offer;
use JollyPenny\Core\Season\Units\Ceiling;

/** The cheapest choice of a nursery's packs that covers a number of plants. Costing rules, section 7, head 10. */
final readonly class Basket
{
    /** Prices that differ by less than this are equal. */
    private const SAME = 1e-9;

    /** @param  array<array-key, int>  $packs  by offer id */
    private function __construct(public float $cost, public array $packs)
    {
    }

    /** Plants to buy so that the wanted ones are left after the losses. */
    public static function plantsNeeded(int $wanted, float $loss): int
    {
        return Ceiling::roundUp($wanted / (1.0 - $loss));
    }

    /**
     * Money for each number of plants from 0 on.
     *
     * @param  non-empty-list<Offer>  $offers
     * @return list<float>
     */
    public static function prices(array $offers, int $plants): array
    {
        $cost = [0.0];
        for ($n = 1; $n <= $plants; $n++) {
            $cost[] = min(array_map(fn (Offer $offer): float => $cost[max(0, $n - $offer->plants)] + $offer->price, $offers));
        }

        return $cost;
    }

    /** @param  list<Offer>  $offers */
    public static function cheapest(array $offers, int $plants): ?self
    {
        if ($offers === []) {
            return null;
        }
        $cost = [0.0];
        $count = [0];
        $chosen = [null];
        for ($n = 1; $n <= $plants; $n++) {
            foreach ($offers as $i => $offer) {
                $rest = max(0, $n - $offer->plants);
                $price = $cost[$rest] + $offer->price;
                $packs = $count[$rest] + 1;
                if ($i === 0 || $price < $cost[$n] - self::SAME || ($price <= $cost[$n] + self::SAME && $packs < $count[$n])) {
                    [$cost[$n], $count[$n], $chosen[$n]] = [$price, $packs, $offer];
                }
            }
        }
        $packs = [];
        $total = 0.0;
        for ($n = $plants; $n > 0; $n = max(0, $n - $offer->plants)) {
            /** @var Offer $offer */
            $offer = $chosen[$n];
            $packs[$offer->id] = ($packs[$offer->id] ?? 0) + 1;
        }
        foreach ($offers as $offer) {
            $total += $offer->price * ($packs[$offer->id] ?? 0);
        }

        return new self($total, $packs);
    }
}
