<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\SeasonIndex;
use WeakMap;

/** What each crop, or what is missing of it, would cost at the nursery, without the trip. Kept for all set-ups. */
final class NurseryBook
{
    /** @var array<string, ?Basket> */
    private array $baskets = [];

    /** @var array<string, list<float>> money by number of plants missing */
    private array $prices = [];

    /** @var WeakMap<CropPlan, float> */
    private WeakMap $shortfalls;

    public function __construct(private readonly SeasonIndex $index)
    {
        $this->shortfalls = new WeakMap();
    }

    /** Money for the plants a crop falls short of, on average; null where nobody sells it. */
    public function shortfall(CropPlan $plan): ?float
    {
        if (isset($this->shortfalls[$plan])) {
            return $this->shortfalls[$plan];
        }
        $prices = $this->missing($plan->crop);
        if ($prices === null) {
            return null;
        }

        return $this->shortfalls[$plan] = $plan->sowing->finish->expected(
            fn (int $finished): float => $prices[max(0, $plan->crop->wanted - $finished)],
        );
    }

    /**
     * Money for each number of plants that may be missing; null where nobody sells the crop.
     *
     * @return ?list<float> from 0 to wanted
     */
    public function missing(Crop $crop): ?array
    {
        $offers = $this->index->offersFor($crop);
        if ($offers === []) {
            return null;
        }
        $key = (string) json_encode([$crop->wanted, $crop->boughtLoss, array_column($offers, 'id')]);
        if (! isset($this->prices[$key])) {
            $byBought = Basket::prices($offers, Basket::plantsNeeded($crop->wanted, $crop->boughtLoss));
            $this->prices[$key] = array_map(
                fn (int $missing): float => $byBought[Basket::plantsNeeded($missing, $crop->boughtLoss)],
                range(0, $crop->wanted),
            );
        }

        return $this->prices[$key];
    }

    public function basket(Crop $crop): ?Basket
    {
        $plants = Basket::plantsNeeded($crop->wanted, $crop->boughtLoss);
        $offers = $this->index->offersFor($crop);
        $key = (string) json_encode([$plants, array_column($offers, 'id')]);

        return array_key_exists($key, $this->baskets) ? $this->baskets[$key] : $this->baskets[$key] = Basket::cheapest($offers, $plants);
    }
}
