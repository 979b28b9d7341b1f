<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Mix;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Offer;
use JollyPenny\Core\Season\Things\Place;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Species;
use JollyPenny\Core\Season\Things\Supply;
use JollyPenny\Core\Season\Things\Trayware;

/** A season's rows by id. */
final readonly class SeasonIndex
{
    /**
     * @param  array<array-key, Place>  $places
     * @param  array<array-key, Supply>  $supplies
     * @param  array<array-key, Mix>  $mixes
     * @param  array<array-key, Container>  $containers
     * @param  array<array-key, Trayware>  $trayware
     * @param  array<array-key, Light>  $lights
     * @param  array<array-key, Mat>  $mats
     * @param  array<array-key, Appliance>  $appliances
     * @param  array<array-key, Gear>  $gear
     * @param  array<array-key, Species>  $species
     * @param  array<array-key, SeedLot>  $lots
     * @param  array<array-key, Method>  $methods
     * @param  array<array-key, Offer>  $offers
     */
    private function __construct(
        public Season $season,
        public array $places,
        public array $supplies,
        public array $mixes,
        public array $containers,
        public array $trayware,
        public array $lights,
        public array $mats,
        public array $appliances,
        public array $gear,
        public array $species,
        public array $lots,
        public array $methods,
        public array $offers,
    ) {
    }

    public static function fromSeason(Season $s): self
    {
        return new self(
            season: $s,
            places: array_column($s->places, null, 'id'),
            supplies: array_column($s->supplies, null, 'id'),
            mixes: array_column($s->mixes, null, 'id'),
            containers: array_column($s->containers, null, 'id'),
            trayware: array_column($s->trayware, null, 'id'),
            lights: array_column($s->lights, null, 'id'),
            mats: array_column($s->mats, null, 'id'),
            appliances: array_column($s->appliances, null, 'id'),
            gear: array_column($s->gear, null, 'id'),
            species: array_column($s->species, null, 'id'),
            lots: array_column($s->seedLots, null, 'id'),
            methods: array_column($s->methods, null, 'id'),
            offers: array_column($s->nursery, null, 'id'),
        );
    }

    /** @return list<Offer> at which a crop's plants can be bought, in pots that are large enough */
    public function offersFor(Crop $crop): array
    {
        return array_values(array_filter(array_map(fn (string $id): Offer => $this->offers[$id], $crop->nursery), $crop->accepts(...)));
    }

    public function isSold(Crop $crop): bool
    {
        foreach ($crop->nursery as $id) {
            if ($crop->accepts($this->offers[$id])) {
                return true;
            }
        }

        return false;
    }
}
