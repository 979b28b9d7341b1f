<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shopping;

/** One thing to buy in whole packs: what is needed of it and when, what there is, what was bought, what is still to pay. */
final readonly class ShoppingItem
{
    /**
     * @param  string  $where  one buys it: seed, garden, hardware or nursery
     * @param  ?float  $need  of the season, in its unit; null where one is needed and no amount
     * @param  ?float  $in_stock  there already
     * @param  ?float  $holds  in a pack
     * @param  string  $unit  L, kg, seeds, plants or each
     * @param  int  $packs  to buy by the plan, before anything was bought
     * @param  float  $price  for a pack, as planned
     * @param  float  $planned  money for all packs by the plan
     * @param  int  $bought  packs
     * @param  float  $paid  money for those
     * @param  int  $left  packs still to buy
     * @param  float  $still  money for those
     * @param  int  $beyond  packs bought beyond what the plan needs
     * @param  ?string  $order_by  day to order seed by, or to buy the rest
     * @param  ?string  $needed_on  first day it is used
     * @param  list<string>  $crops  that need it
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $name,
        public string $where,
        public ?float $need,
        public ?float $in_stock,
        public ?float $holds,
        public string $unit,
        public int $packs,
        public float $price,
        public float $planned,
        public int $bought,
        public float $paid,
        public int $left,
        public float $still,
        public int $beyond,
        public ?string $order_by,
        public ?string $needed_on,
        public array $crops,
    ) {
    }

    /** What has still to be had of it, in its unit; 0 where no amount is needed. */
    public function lacking(): float
    {
        return max(0.0, ($this->need ?? 0.0) - ($this->in_stock ?? 0.0));
    }
}
