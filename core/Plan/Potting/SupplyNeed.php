<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

/** What a season takes of a supply, and what is left of the packs. */
final readonly class SupplyNeed
{
    /**
     * @param  float  $need  in the supply's unit
     * @param  float  $cash  money for those packs
     * @param  float  $left  in the supply's unit, at the end
     * @param  float  $per_pack  usable in a pack
     */
    public function __construct(
        public string $id,
        public float $need,
        public int $packs,
        public float $cash,
        public float $left,
        public float $per_pack,
    ) {
    }
}
