<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Feed;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Mix;
use JollyPenny\Core\Season\Crops\Tray;
use JollyPenny\Core\Season\Crops\Trial;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Electricity;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Offer;
use JollyPenny\Core\Season\Things\Place;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Species;
use JollyPenny\Core\Season\Things\Supply;
use JollyPenny\Core\Season\Things\Trayware;
use stdClass;

/** A whole season as its file says it: what there is, what is wanted, and the ways of furnishing it. */
final readonly class Season
{
    use With;

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
     * @param  list<Tray>  $trays
     * @param  list<Trial>  $trials
     * @param  list<LogEntry>  $log  facts, which the plan does not read
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
        public float $luck = 0.1,
        public float $mishap = 0.03,
        public float $lastFrostSpreadDays = 0.0,
        public float $nurseryTripCost = 0.0,
        public ?Feed $feed = null,
        #[ListOf(Tray::class)] public array $trays = [],
        #[ListOf(Trial::class)] public array $trials = [],
        #[ListOf(LogEntry::class)] public array $log = [],
        public ?stdClass $meta = null,
    ) {
    }

    /** The same season with another row in a crop's place. */
    public function withCrop(Crop $crop): self
    {
        return $this->with(crops: array_map(fn (Crop $row): Crop => $row->id === $crop->id ? $crop : $row, $this->crops));
    }

    /** The same season with another row in a method's place. */
    public function withMethod(Method $method): self
    {
        return $this->with(methods: array_map(fn (Method $row): Method => $row->id === $method->id ? $method : $row, $this->methods));
    }
}
