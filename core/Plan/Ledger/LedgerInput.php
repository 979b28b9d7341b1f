<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Season\Things\Leftover;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * A price of the season with what makes a charge of it. The cost of every crop is linear in the charges of all inputs: a workbook may
 * change a price, what a pack holds or a life, and all totals follow.
 */
final readonly class LedgerInput
{
    /**
     * @param  list<string|int>  $path  of the price in the season
     * @param  string  $group  words for what kind of thing it is
     * @param  ?string  $holdsKey  beside the price: what a pack holds
     * @param  ?float  $holds  in the thing's unit
     * @param  float  $times  a pack makes so many times what it holds
     * @param  ?string  $lifeKey  beside the price: seasons it lasts
     * @param  ?float  $need  of the season, in the unit of what a pack holds
     * @param  float  $stock  there already, in the same; in packs for seed
     * @param  float  $least  packs charged as soon as any is needed
     */
    public function __construct(
        public array $path,
        public string $group,
        public string $name,
        public float $price,
        public ?string $holdsKey = null,
        public ?float $holds = null,
        public float $times = 1.0,
        public string $unit = '',
        public ?string $lifeKey = null,
        public ?float $life = null,
        public ?float $need = null,
        public float $stock = 0.0,
        public bool $stockInPacks = false,
        public float $least = 0.0,
        public Leftover $leftover = Leftover::Keep,
    ) {
    }

    public function id(): string
    {
        return implode('/', $this->path);
    }

    /** Money that this input stands for, by which its parts are multiplied: a whole season's of a pool, a season's share of a durable. */
    public function charge(float $price, float $discountRate): float
    {
        if ($this->life !== null) {
            return CapitalRecovery::share($price, $this->life, $discountRate);
        }
        if ($this->holds === null || $this->need === null) {
            return $price;
        }
        $pack = $this->holds * $this->times;
        $stock = $this->stockInPacks ? $this->stock * $pack : $this->stock;

        return $this->leftover === Leftover::Keep
            ? $price * max($this->need / $pack, $this->least)
            : $price * (min($this->need, $stock) / $pack + max(0, Ceiling::roundUp(($this->need - $stock) / $pack)));
    }
}
