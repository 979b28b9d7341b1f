<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Years;

/** Units of something that lasts: bought in the first season where they are not owned, and again whenever their life is over. */
final readonly class DurableThing
{
    private int $life;

    /** @param  int  $life  in whole seasons */
    public function __construct(private float $price, private int $units, private int $owned, int $life)
    {
        $this->life = max(1, $life);
    }

    /** Money in a season, at the first season's prices. What is owned counts as new in season 1. */
    public function boughtIn(int $season): float
    {
        $units = match (true) {
            $season === 1 => max(0, $this->units - $this->owned),
            ($season - 1) % $this->life === 0 => $this->units,
            default => 0,
        };

        return $units * $this->price;
    }
}
