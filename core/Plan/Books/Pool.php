<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Season\Things\Leftover;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * One consumable (a supply, or a lot's seed) that several crops draw on. Kept leftovers are charged by use; where they
 * are wasted, what comes out of stock is charged by use and the rest in whole packs, all of it shared by use. Seed dies: even of
 * kept seed a part of a packet is charged each season.
 */
final readonly class Pool
{
    /** @param  float  $leastPacks  charged as soon as any is needed, of what is kept */
    public function __construct(
        public float $need,
        private float $packPrice,
        private float $perPack,
        private float $stock,
        private Leftover $leftover,
        private float $leastPacks = 0.0,
    ) {
    }

    /** Money for this need, in all. */
    public function charge(float $need): float
    {
        if ($need <= 0.0) {
            return 0.0;
        }
        $unit = $this->packPrice / $this->perPack;

        return $this->leftover === Leftover::Keep ? max($need * $unit, $this->leastPacks * $this->packPrice)
            : min($need, $this->stock) * $unit + $this->packs($need) * $this->packPrice;
    }

    /** @param  array<array-key, self>  $pools */
    public static function total(array $pools): float
    {
        return array_sum(array_map(fn (self $pool): float => $pool->charge($pool->need), $pools));
    }

    /** Money for one user's part of the whole need. */
    public function share(float $use): float
    {
        return $this->need > 0.0 ? $this->charge($this->need) * $use / $this->need : 0.0;
    }

    /** What would be saved if this use fell away. */
    public function marginal(float $use): float
    {
        return $this->leftover === Leftover::Keep && $this->leastPacks === 0.0 ? $this->charge($use)
            : $this->charge($this->need) - $this->charge(max(0.0, $this->need - $use));
    }

    /** Packs to buy for a need beyond the stock. */
    public function packs(float $need): int
    {
        return max(0, Ceiling::roundUp(($need - $this->stock) / $this->perPack));
    }
}
