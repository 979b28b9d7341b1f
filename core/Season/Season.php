<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/** A whole season as its file says it: what there is, what is wanted, and the ways of furnishing it. */
final readonly class Season
{
    public const FORMAT = 'jolly-penny/season';

    public const VERSION = 1;

    /**
     * @param  list<Place>  $places
     * @param  list<Supply>  $supplies
     * @param  list<Mix>  $mixes
     * @param  list<Container>  $containers
     * @param  list<Trayware>  $trayware
     * @param  list<Light>  $lights
     * @param  list<Mat>  $mats
     * @param  list<Appliance>  $appliances
     * @param  list<Gear>  $gear
     * @param  list<Species>  $species
     * @param  list<SeedLot>  $seedLots
     * @param  list<Method>  $methods
     * @param  list<Offer>  $nursery
     * @param  list<Crop>  $crops
     * @param  list<Setup>  $setups
     */
    public function __construct(
        public string $format,
        public int $version,
        public string $name,
        public string $currency,
        public int $year,
        public Day $lastFrost,
        public Electricity $electricity,
        #[ListOf(Crop::class)] public array $crops,
        #[ListOf(Setup::class)] public array $setups,
        #[ListOf(Place::class)] public array $places = [],
        #[ListOf(Supply::class)] public array $supplies = [],
        #[ListOf(Mix::class)] public array $mixes = [],
        #[ListOf(Container::class)] public array $containers = [],
        #[ListOf(Trayware::class)] public array $trayware = [],
        #[ListOf(Light::class)] public array $lights = [],
        #[ListOf(Mat::class)] public array $mats = [],
        #[ListOf(Appliance::class)] public array $appliances = [],
        #[ListOf(Gear::class)] public array $gear = [],
        #[ListOf(Species::class)] public array $species = [],
        #[ListOf(SeedLot::class)] public array $seedLots = [],
        #[ListOf(Method::class)] public array $methods = [],
        #[ListOf(Offer::class)] public array $nursery = [],
        public UnitSystem $units = UnitSystem::Us,
        public ?Day $firstFrost = null,
        public float $confidence = 0.9,
        public float $hourlyValue = 0.0,
        public float $discountRate = 0.0,
        public bool $chargeOwned = false,
        public float $mixOverage = 0.1,
        public float $nurseryTripCost = 0.0,
        public ?Feed $feed = null,
        public ?stdClass $meta = null,
    ) {
    }

    /**
     * The same season with another grow list.
     *
     * @param  list<Crop>  $crops
     */
    public function growing(array $crops): self
    {
        return $this->with($crops, $this->setups, $this->methods);
    }

    /**
     * The same season with other set-ups.
     *
     * @param  list<Setup>  $setups
     */
    public function furnished(array $setups): self
    {
        return $this->with($this->crops, $setups, $this->methods);
    }

    /**
     * The same season with other methods.
     *
     * @param  list<Method>  $methods
     */
    public function raisedBy(array $methods): self
    {
        return $this->with($this->crops, $this->setups, $methods);
    }

    /**
     * @param  list<Crop>  $crops
     * @param  list<Setup>  $setups
     * @param  list<Method>  $methods
     */
    private function with(array $crops, array $setups, array $methods): self
    {
        return new self($this->format, $this->version, $this->name, $this->currency, $this->year, $this->lastFrost, $this->electricity, $crops,
            $setups, $this->places, $this->supplies, $this->mixes, $this->containers, $this->trayware, $this->lights, $this->mats,
            $this->appliances, $this->gear, $this->species, $this->seedLots, $methods, $this->nursery, $this->units, $this->firstFrost,
            $this->confidence, $this->hourlyValue, $this->discountRate, $this->chargeOwned, $this->mixOverage, $this->nurseryTripCost,
            $this->feed, $this->meta);
    }
}
