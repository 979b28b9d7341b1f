<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;

/** Seed, by lot. What is left of a packet is worth something only until it is dead. Costing rules, section 7, head 1. */
final readonly class SeedBook implements Book
{
    /** @var array<array-key, Pool> by lot id */
    public array $pools;

    /** @param  list<CropPlan>  $plans */
    public function __construct(private array $plans, SeasonIndex $index)
    {
        $needs = $lots = $pools = [];
        foreach ($plans as $plan) {
            $needs[$plan->lot->id] = ($needs[$plan->lot->id] ?? 0) + $plan->sowing->seeds;
            $lots[$plan->lot->id] = $plan->lot;
        }
        foreach ($lots as $id => $lot) {
            $perPacket = $lot->seedsPerPacket;
            if ($perPacket !== null) {
                $life = $index->species[$lot->species]->longevityYears;
                $pools[$id] = new Pool(
                    $needs[$id],
                    $lot->packetPrice,
                    $perPacket,
                    $lot->packetsOwned * $perPacket,
                    $lot->leftover,
                    1.0 / max(1.0, $life),
                );
            }
        }
        $this->pools = $pools;
    }

    public function heads(int $crop): array
    {
        return [Head::Seed->value => $this->pool($crop)?->share($this->plans[$crop]->sowing->seeds) ?? 0.0];
    }

    public function saved(int $crop): float
    {
        return $this->pool($crop)?->marginal($this->plans[$crop]->sowing->seeds) ?? 0.0;
    }

    public function moved(int $crop, CropPlan $to): ?float
    {
        return $this->plans[$crop]->lot === $to->lot && $this->plans[$crop]->sowing->seeds === $to->sowing->seeds ? 0.0 : null;
    }

    public function total(): float
    {
        return Pool::total($this->pools);
    }

    private function pool(int $crop): ?Pool
    {
        return $this->pools[$this->plans[$crop]->lot->id] ?? null;
    }
}
