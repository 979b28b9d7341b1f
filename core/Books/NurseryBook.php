<?php

declare(strict_types=1);

namespace JollyPenny\Core\Books;

use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\SeasonIndex;

/** What each crop would cost at the nursery, without the trip; null where nobody sells it. Kept for all set-ups. */
final class NurseryBook
{
    /** @var array<string, ?Basket> */
    private array $baskets = [];

    public function __construct(private readonly SeasonIndex $index)
    {
    }

    public function basket(Crop $crop): ?Basket
    {
        $plants = Basket::plantsNeeded($crop->wanted, $crop->boughtLoss);
        $key = (string) json_encode([$plants, $crop->nursery]);

        return array_key_exists($key, $this->baskets) ? $this->baskets[$key]
            : $this->baskets[$key] = Basket::cheapest(array_map(fn (string $id) => $this->index->offers[$id], $crop->nursery), $plants);
    }
}
