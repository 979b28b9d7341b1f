<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;

/**
 * The energy book of a set-up, worked out when it is first asked for: it takes longer than all the rest, and what is paid at the checkout
 * does not need it. It knows nothing of the books that share it: a circle of references would be left to PHP's collector, which walks
 * through every plan that is kept: half the time of a search went into that.
 */
final class EnergyOnceAsked
{
    private ?EnergyBook $book = null;

    /**
     * @param  list<CropPlan>  $plans
     * @param  list<SupplyUse>  $uses
     */
    public function __construct(
        private readonly array $plans,
        private readonly array $uses,
        private readonly SeasonIndex $index,
        private readonly Setup $setup,
    ) {
    }

    public function book(): EnergyBook
    {
        return $this->book ??= new EnergyBook($this->plans, $this->uses, $this->index, $this->setup);
    }
}
