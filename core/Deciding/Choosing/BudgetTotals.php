<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\ShoppingList;

/** What a way of keeping to a limit comes to: money at the till, plants missing, money to fill the list, hours. */
final readonly class BudgetTotals
{
    private const SAME = 1e-9;

    /**
     * @param  float  $cash  money at the till now
     * @param  float  $missing  wanted plants that nobody raises or sells, on average
     * @param  float  $fill_cost  money with everything that falls short bought
     * @param  float  $bill  money for electricity over the season
     */
    public function __construct(public float $cash, public float $missing, public float $fill_cost, public float $hours, public float $bill)
    {
    }

    /** What is paid at the checkout; the quickest of the totals to know. */
    public static function cash(SetupBooks $books): float
    {
        return (float) array_sum(array_column(ShoppingList::fromBooks($books), 'cost'));
    }

    /** @param  int  $leftOut  plants of crops that are left out */
    public static function fromBooks(SetupBooks $books, SetupTotals $totals, int $leftOut): self
    {
        $missing = (float) $leftOut;
        foreach ($books->season()->crops as $crop) {
            $plan = isset($books->grown[$crop->id]) ? $books->plans[$books->grown[$crop->id]] : null;
            $missing += match (true) {
                isset($books->bought[$crop->id]) => 0.0,
                $plan === null => (float) $crop->wanted,
                $books->index->isSold($crop) => 0.0,
                default => $crop->wanted - self::useful($plan),
            };
        }

        return new self(self::cash($books), $missing, $totals->fillCost, $totals->hours,
            $books->energy()->bill());
    }

    /** @param  bool  $season  the limit is for the whole season, electricity included */
    public function spent(bool $season): float
    {
        return $this->cash + ($season ? $this->bill : 0.0);
    }

    public function within(float $limit, bool $season): bool
    {
        return $this->spent($season) <= $limit + self::SAME;
    }

    /** Fewer missing, else cheaper to fill the list, else fewer hours. */
    public function beats(self $other): bool
    {
        foreach ([[$this->missing, $other->missing], [$this->fill_cost, $other->fill_cost], [$this->hours, $other->hours]] as [$mine, $theirs]) {
            if (abs($mine - $theirs) > self::SAME) {
                return $mine < $theirs;
            }
        }

        return false;
    }

    private static function useful(CropPlan $plan): float
    {
        return $plan->sowing->finish->expected(fn (int $finished): float => (float) min($finished, $plan->crop->wanted));
    }
}
