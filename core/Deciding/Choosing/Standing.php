<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Setup;

/**
 * Where a set-up stands among the others. One that is crowded stands with the price of its like made to fit. First those that
 * supply the list with room for it, by price; then those that supply it crowded; then the fewest missing first.
 */
final readonly class Standing
{
    /** Prices that differ by less than this are equal. */
    private const SAME = 1e-9;

    public SetupResult $result;

    public function __construct(public SeasonCosting $costing, public Setup $setup, public bool $isFitted = false)
    {
        $this->result = $costing->setup($setup);
    }

    /** Supplies the list, with light, warmth and room for all of it. */
    public function qualifies(): bool
    {
        return $this->result->isFair() && $this->hasRoom();
    }

    /** What has no room is no answer; for a few days a tray or two finds another place. */
    public function hasRoom(): bool
    {
        return $this->result->crowded_days <= SetupTotals::BEARABLE_DAYS;
    }

    /** Below 0 where this one stands before the other. */
    public function compare(self $other): int
    {
        [$a, $b] = [$this->result, $other->result];
        $by = [! $this->qualifies(), $this->missing(), ! $this->hasRoom()] <=> [! $other->qualifies(), $other->missing(), ! $other->hasRoom()];
        if ($by !== 0) {
            return $by;
        }
        [$price, $others] = [$a->per_wanted ?? INF, $b->per_wanted ?? INF];

        return abs($price - $others) < self::SAME ? 0 : $price <=> $others;
    }

    /** Whole plants. */
    private function missing(): int
    {
        return $this->result->isFair() ? 0 : max(1, (int) round($this->result->missing));
    }
}
