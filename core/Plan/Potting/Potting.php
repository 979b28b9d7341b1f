<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Things\SupplyUnit;

/** What a set-up's plants stand in, and in what: fillings, litres by mix and crop, supplies to buy, stirring or buying. */
final readonly class Potting
{
    /**
     * @param  list<Filling>  $containers  all of the season's, in its order
     * @param  list<string>  $in_use  containers of this set-up
     * @param  float  $litres  of mix in all
     * @param  array<string, float>  $litres_by_mix  by mix or supply
     * @param  array<string, float>  $litres_by_crop
     * @param  list<MixWay>  $ways
     * @param  list<SupplyNeed>  $supplies
     * @param  ?array{litres: float, product: float, per_l: float}  $feed  made up; product in its supply's unit
     */
    private function __construct(
        public array $containers,
        public array $in_use,
        public float $litres,
        public array $litres_by_mix,
        public array $litres_by_crop,
        public array $ways,
        public array $supplies,
        public ?array $feed,
    ) {
    }

    public static function fromBooks(SetupBooks $books): self
    {
        $season = $books->season();
        $byMix = $byCrop = $inUse = [];
        foreach ($books->plans as $plan) {
            foreach ($plan->stages as $stage) {
                if ($stage->container !== null) {
                    $inUse[$stage->container->id] = $stage->container->id;
                    if ($stage->stage->mix !== null) {
                        $litres = $stage->mixLitres($season->mixOverage);
                        $byMix[$stage->stage->mix] = ($byMix[$stage->stage->mix] ?? 0.0) + $litres;
                        $byCrop[$plan->crop->id] = ($byCrop[$plan->crop->id] ?? 0.0) + $litres;
                    }
                }
            }
        }
        $bought = [];
        foreach ($season->methods as $method) {
            foreach ($method->stages as $stage) {
                if ($stage->mix !== null && isset($books->index->supplies[$stage->mix])) {
                    $bought[$stage->mix] = $stage->mix;
                }
            }
        }
        foreach ($season->supplies as $supply) {
            // A bag or a bale that nothing is filled with yet, to compare with.
            if ($supply->unit === SupplyUnit::Litre && preg_match('/mix|starter|potting/i', $supply->name) === 1) {
                $bought[$supply->id] = $supply->id;
            }
        }
        $litres = array_sum($byMix);

        return new self(self::fillings($books), array_values($inUse), $litres, $byMix, $byCrop,
            (new StirOrBuy($season, $litres, array_values($bought)))->ways(), self::supplies($books), self::feed($books));
    }

    /** @return list<Filling> */
    private static function fillings(SetupBooks $books): array
    {
        $season = $books->season();
        $filledWith = [];
        foreach ($season->methods as $method) {
            foreach ($method->stages as $stage) {
                if ($stage->container !== null) {
                    $filledWith[$stage->container] ??= [$stage->mix, $stage->fill];
                }
            }
        }
        $fillings = [];
        foreach ($season->containers as $container) {
            [$mix, $fill] = $filledWith[$container->id] ?? [null, 1.0];
            $fillings[] = Filling::forContainer($container, $season, $mix, $mix === null ? 0.0 : self::perLitre($books, $mix), $fill);
        }

        return $fillings;
    }

    private static function perLitre(SetupBooks $books, string $mix): float
    {
        $row = $books->index->mixes[$mix] ?? null;
        if ($row === null) {
            return $books->index->supplies[$mix]->unitPrice();
        }
        $per = 0.0;
        foreach (StirOrBuy::parts($row) as $supply => $amount) {
            $per += $amount * $books->index->supplies[$supply]->unitPrice();
        }

        return $per;
    }

    /** @return list<SupplyNeed> */
    private static function supplies(SetupBooks $books): array
    {
        $needs = [];
        foreach ($books->season()->supplies as $supply) {
            $pool = $books->supplies->pools[$supply->id] ?? null;
            $need = $pool->need ?? 0.0;
            $packs = $pool?->packs($need) ?? 0;
            $needs[] = new SupplyNeed($supply->id, $need, $packs, $packs * $supply->packPrice,
                max(0.0, $supply->inStock + $packs * $supply->usablePerPack() - $need), $supply->usablePerPack());
        }

        return $needs;
    }

    /** @return ?array{litres: float, product: float, per_l: float} */
    private static function feed(SetupBooks $books): ?array
    {
        $feed = $books->season()->feed;
        if ($feed === null) {
            return null;
        }
        $supply = $books->index->supplies[$feed->supply];
        $litres = 0.0;
        foreach ($books->plans as $plan) {
            foreach ($plan->stages as $stage) {
                $litres += $stage->flats * $feed->litresPerFlat * $stage->stage->feedsPerWeek * $stage->days() / 7;
            }
        }

        return ['litres' => $litres, 'product' => $litres * $feed->dosePerL, 'per_l' => $feed->dosePerL * $supply->unitPrice()];
    }
}
