<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\Labour;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\Crowding;

/** What decides between set-ups, without the figures of each crop: many of these are weighed for one answer. */
final readonly class SetupTotals
{
    /** Crowded for no more days than this, it has room: a tray or two finds another place for so long. */
    public const BEARABLE_DAYS = 3;

    /**
     * @param  float  $fillCost  money with everything that falls short bought
     * @param  int  $supplied  crops that are raised, or bought where somebody sells them
     */
    private function __construct(public float $fillCost, public float $hours, public int $crowdedDays, public int $supplied)
    {
    }

    /** Crowded days that nobody can put up with: 0 where it has room. */
    public function daysWithoutRoom(): int
    {
        return max(0, $this->crowdedDays - self::BEARABLE_DAYS);
    }

    public static function fromBooks(SetupBooks $books): self
    {
        $cost = 0.0;
        foreach ($books->all() as $book) {
            $cost += $book->total();
        }
        foreach ($books->bought as $crop) {
            $cost += ($books->nursery->basket($crop)->cost ?? 0.0) + $books->tripShare($crop);
        }
        $cost += $books->tripForShortfall();
        $hours = 0.0;
        foreach ($books->plans as $i => $plan) {
            $cost += $books->nursery->shortfall($plan) ?? 0.0;
            $hours += Labour::hours($plan, $books->supplies->uses[$i]);
        }

        return new self($cost, $hours, Crowding::fromEnergy($books->energy())->days, count($books->plans) + count($books->bought));
    }
}
