<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * Something used up: mix, feed, labels. `packAmount` and `inStock` in the unit, stock as the usable (expanded) amount.
 */
final readonly class Supply
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public SupplyUnit $unit,
        public float $packPrice,
        public float $packAmount,
        public float $expansion = 1.0,
        public float $inStock = 0.0,
        public Leftover $leftover = Leftover::Keep,
        public ?stdClass $meta = null,
    ) {
    }

    /** Usable amount in one pack, in the supply's unit. */
    public function usablePerPack(): float
    {
        return $this->packAmount * $this->expansion;
    }

    /** Money per usable unit. */
    public function unitPrice(): float
    {
        return $this->packPrice / $this->usablePerPack();
    }
}
