<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shopping;

/** Packs of one thing that were bought, at what was paid for all of them. */
final readonly class Purchase
{
    /**
     * @param  string  $id  given where it was written down, so that it counts once however often it is sent
     * @param  string  $kind  as in the result's shopping list
     * @param  string  $thing  id of what was bought, in the season
     * @param  int  $packs  at least 1
     * @param  float  $paid  money for all of them
     * @param  string  $on  the day, as year-month-day
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $thing,
        public string $name,
        public int $packs,
        public float $paid,
        public string $on,
        public string $shop,
        public string $note,
    ) {
    }

    /** Money for a pack. */
    public function each(): float
    {
        return $this->paid / $this->packs;
    }
}
