<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Books\Basket;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\SeasonIndex;

/** How much a finished plant of one's own stands in, and one from the nursery: a plug and a pot are not the same plant. */
final readonly class PotSizes
{
    /**
     * @param  ?float  $own  litres; null where it is sown in the bed or not grown
     * @param  ?float  $bought  litres, of the cheapest packs; null where that is not known
     */
    private function __construct(public ?float $own, public ?float $bought)
    {
    }

    public static function forCrop(?Method $method, Crop $crop, SeasonIndex $index): self
    {
        return new self($method === null ? null : self::own($method, $index), self::bought($crop, $index));
    }

    private static function own(Method $method, SeasonIndex $index): ?float
    {
        $litres = null;
        foreach ($method->stages as $stage) {
            if ($stage->container !== null) {
                $litres = $index->containers[$stage->container]->volumeL * $stage->fill / $stage->plantsPerSite;
            }
        }

        return $litres > 0.0 ? $litres : null;
    }

    private static function bought(Crop $crop, SeasonIndex $index): ?float
    {
        $offers = $index->offersFor($crop);
        $packs = Basket::cheapest($offers, Basket::plantsNeeded($crop->wanted, $crop->boughtLoss))->packs ?? [];
        arsort($packs);

        return $packs === [] ? null : $index->offers[array_key_first($packs)]->potL;
    }
}
