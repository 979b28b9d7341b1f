<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

/** One way to have so many litres of mix: a recipe stirred at home, or a supply as it comes. */
final readonly class MixWay
{
    /**
     * @param  string  $id  of a mix, or of a supply
     * @param  string  $kind  stirred or bought
     * @param  float  $per_l  money for a litre, by use
     * @param  float  $cash  money at the till for all litres, in whole packs, less what is in stock
     * @param  float  $hours  of stirring
     * @param  list<array{supply: string, name: string, share: float, packs: int}>  $parts
     * @param  list<array{litres: float, cash: float}>  $steps  what the till asks for more and more litres, nothing in stock
     * @param  ?float  $tips_at  litres from which it asks no more than bags do; null where it never does, or is the bag
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public float $per_l,
        public float $cash,
        public float $hours,
        public array $parts,
        public array $steps,
        public ?float $tips_at,
    ) {
    }
}
