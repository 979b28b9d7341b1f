<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Calendar;

use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Place;

/** One stage of one crop: from when to when, in how many sites, on how much room. */
final readonly class StagePlan
{
    /**
     * @param  ?Container  $container  what the plants stand in, named by this stage or by one before; null in a bed
     * @param  int  $start  day number; the stage occupies [start, end)
     */
    public function __construct(
        public Stage $stage,
        public Place $place,
        public ?Container $container,
        public int $start,
        public int $end,
        public int $sites,
        public float $flats,
    ) {
    }

    public function middleDay(): int
    {
        return $this->start + intdiv($this->days(), 2);
    }

    public function days(): int
    {
        return $this->end - $this->start;
    }

    /** True where a container is filled for this stage. */
    public function fills(): bool
    {
        return $this->stage->container !== null;
    }

    /**
     * Litres of mix put into the sites; 0 in a bed.
     *
     * @param  float  $overage  share spilled and firmed in
     */
    public function mixLitres(float $overage): float
    {
        return $this->container === null ? 0.0 : $this->sites * $this->container->volumeL * $this->stage->fill * (1.0 + $overage);
    }

    /** Units filled, as a fraction of whole ones; 0 in a bed. */
    public function units(): float
    {
        return $this->container === null ? 0.0 : $this->sites / $this->container->sitesPerUnit;
    }

    public function flatDays(): float
    {
        return $this->flats * $this->days();
    }
}
