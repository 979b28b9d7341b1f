<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\HeadGroup;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\Penny;

/**
 * One plant as a stack of coins of one amount, by groups of heads; the coins add up to the height, and a heat credit
 * is taken off the top. `total` and `nursery` in the season's currency.
 */
final readonly class PennyStack
{
    private const TALLEST = 50;

    /**
     * @param  list<array{group: string, amount: float, coins: int}>  $groups  from the bottom up
     * @param  ?float  $nursery  price of one bought plant
     */
    private function __construct(
        public float $coin,
        public float $total,
        public array $groups,
        public float $credit,
        public int $credit_coins,
        public ?float $nursery,
        public ?int $nursery_coins,
    ) {
    }

    /** One finished seedling of a crop beside the nursery's price; null where it is not grown or nothing finishes. */
    public static function ofCrop(CropResult $crop, string $currency): ?self
    {
        if ($crop->per_finished === null || $crop->useful === null) {
            return null;
        }
        $nursery = $crop->boughtEach();

        $heads = $crop->heads ?? [];

        $tallest = max($crop->per_finished, $nursery ?? 0.0) + self::credit($heads) / $crop->useful;

        return self::stack($heads, 0.0, $crop->useful, $nursery, self::coin($tallest, $currency));
    }

    /**
     * One of the plants that a nursery sells too, as the set-up comes by it, shortfalls and the trip after them bought: the same plants as
     * the nursery's price is of. Where nobody sells any, one plant of the list; null where nothing is supplied.
     */
    public static function ofSetup(SetupResult $setup, float $coin): ?self
    {
        if ($setup->same_per_plant === null || $setup->nursery_per_plant === null) {
            return $setup->per_wanted === null ? null : self::stack($setup->heads, $setup->fill_cost - $setup->cost, $setup->filled, null, $coin);
        }
        $heads = self::headsOfTheSame($setup);
        $plants = $setup->buy_total / $setup->nursery_per_plant;

        return self::stack($heads, $setup->same_per_plant * $plants - array_sum($heads), $plants, $setup->nursery_per_plant, $coin);
    }

    /** Money up to the top of a set-up's stack, the heat credit not yet taken off; 0 where nothing is supplied. */
    public static function height(SetupResult $setup): float
    {
        if ($setup->same_per_plant === null || $setup->nursery_per_plant === null) {
            return $setup->per_wanted === null ? 0.0 : $setup->per_wanted + self::credit($setup->heads) / $setup->filled;
        }

        return $setup->same_per_plant + self::credit(self::headsOfTheSame($setup)) * $setup->nursery_per_plant / $setup->buy_total;
    }

    /** @return array<string, float> heads of the crops that somebody sells */
    private static function headsOfTheSame(SetupResult $setup): array
    {
        $heads = [];
        foreach ($setup->crops as $crop) {
            foreach ($crop->buy_cost === null ? [] : $crop->heads ?? [] as $head => $amount) {
                $heads[$head] = ($heads[$head] ?? 0.0) + $amount;
            }
        }

        return $heads;
    }

    /** @param  array<string, float>  $heads */
    private static function stack(array $heads, float $bought, float $plants, ?float $nursery, float $coin): self
    {
        $amounts = array_fill_keys(array_column(HeadGroup::cases(), 'value'), 0.0);
        $credit = 0.0;
        foreach ($heads as $head => $amount) {
            $group = Head::from($head)->group();
            $group === null ? $credit -= $amount / $plants : $amounts[$group->value] += $amount / $plants;
        }
        $amounts[HeadGroup::Bought->value] += $bought / $plants;
        $coins = Penny::parts(array_map(fn (float $amount): float => $amount / $coin, $amounts), 0);
        $groups = [];
        foreach ($amounts as $group => $amount) {
            $groups[] = ['group' => (string) $group, 'amount' => $amount, 'coins' => (int) $coins[$group]];
        }
        $total = array_sum($amounts) - $credit;

        return new self($coin, $total, $groups, $credit, (int) array_sum($coins) - (int) round($total / $coin), $nursery,
            $nursery === null ? null : (int) round($nursery / $coin));
    }

    /**
     * Money that a heat credit takes off the top.
     *
     * @param  array<string, float>  $heads
     */
    public static function credit(array $heads): float
    {
        return -($heads[Head::HeatCredit->value] ?? 0.0);
    }

    /** The smallest of 1, 2, 5, 10, … of the currency's least coin with which the tallest stack stays within bounds. */
    public static function coin(float $tallest, string $currency): float
    {
        $least = 10 ** -Currency::places($currency);
        for ($size = $least; ; $size *= 10) {
            foreach ([1, 2, 5] as $step) {
                if ($tallest / ($size * $step) <= self::TALLEST) {
                    return $size * $step;
                }
            }
        }
    }
}
