<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;

/** Mix, top dressing, feed and extras, by supply. */
final readonly class SupplyBook implements Book
{
    /** @var list<SupplyUse> */
    public array $uses;

    /** @var array<array-key, Pool> by supply id */
    public array $pools;

    /** @param  list<CropPlan>  $plans */
    public function __construct(array $plans, SeasonIndex $index, private SupplyUses $known)
    {
        $this->uses = array_map($known->use(...), $plans);
        $needs = $pools = [];
        foreach ($this->uses as $use) {
            foreach ($use->amounts as $supply => $heads) {
                $needs[$supply] = ($needs[$supply] ?? 0.0) + array_sum($heads);
            }
        }
        foreach ($needs as $id => $need) {
            $supply = $index->supplies[$id];
            $pools[$id] = new Pool($need, $supply->packPrice, $supply->usablePerPack(), $supply->inStock, $supply->leftover);
        }
        $this->pools = $pools;
    }

    public function heads(int $crop): array
    {
        $heads = [];
        foreach ($this->uses[$crop]->amounts as $supply => $amounts) {
            foreach ($amounts as $head => $amount) {
                $heads[$head] = ($heads[$head] ?? 0.0) + $this->pools[$supply]->share($amount);
            }
        }

        return $heads;
    }

    public function saved(int $crop): float
    {
        $saved = 0.0;
        foreach ($this->uses[$crop]->amounts as $supply => $amounts) {
            $saved += $this->pools[$supply]->marginal(array_sum($amounts));
        }

        return $saved;
    }

    public function moved(int $crop, CropPlan $to): ?float
    {
        return $this->known->use($to) == $this->uses[$crop] ? 0.0 : null;
    }

    public function total(): float
    {
        return Pool::total($this->pools);
    }
}
