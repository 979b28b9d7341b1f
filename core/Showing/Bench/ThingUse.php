<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Deciding\Advising\BestHour;

/** A lamp, mat or appliance over the season. */
final readonly class ThingUse
{
    /**
     * @param  string  $kind  lights, mats or appliances: its list
     * @param  int  $days  on
     * @param  float  $kwh  over the season
     * @param  float  $power  money for those
     * @param  float  $share  of its price that the season bears
     * @param  float  $cost  money for both
     * @param  ?float  $dose  of a lamp, mol/m²/day
     * @param  ?float  $ppfd  of a lamp, µmol/m²/s
     * @param  ?float  $hours_to_dose  hours a day for what seedlings need; null where that is not known
     * @param  bool  $estimated  whether its light is estimated from lumens
     * @param  ?BestHour  $best_hour  of a lamp
     * @param  ?LampOffer  $instead  of an old lamp
     */
    public function __construct(
        public string $kind,
        public string $id,
        public int $days,
        public float $kwh,
        public float $power,
        public float $share,
        public float $cost,
        public ?float $dose = null,
        public ?float $ppfd = null,
        public ?float $hours_to_dose = null,
        public bool $estimated = false,
        public ?BestHour $best_hour = null,
        public ?LampOffer $instead = null,
    ) {
    }
}
