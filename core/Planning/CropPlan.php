<?php

declare(strict_types=1);

namespace JollyPenny\Core\Planning;

use JollyPenny\Core\Calendar\StagePlan;
use JollyPenny\Core\Germination\Sown;
use JollyPenny\Core\Germination\Viability;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\SeedLot;
use JollyPenny\Core\Sowing\SowingPlan;

/** What raising a crop by a method comes to, before any prices: how much is sown, when, and where it stands. */
final readonly class CropPlan
{
    /** From the Monday before the first day of 1970, a Thursday. */
    private const MONDAY = 3;

    private const WEEK = 7;

    /** @param  list<StagePlan>  $stages */
    public function __construct(
        public Crop $crop,
        public SeedLot $lot,
        public Method $method,
        public Viability $viability,
        public Sown $sown,
        public float $g,
        public SowingPlan $sowing,
        public array $stages,
        public bool $late,
        public bool $frost,
    ) {
    }

    public function sowOn(): int
    {
        return $this->stages[0]->start;
    }

    public function plantOutOn(): int
    {
        return $this->stages[count($this->stages) - 1]->end;
    }

    /** What is sown at one place, in one kind of container (or the bed), in one week from Monday on: lost together. */
    public function batch(): string
    {
        $first = $this->stages[0];

        return "{$first->place->id}|{$first->stage->container}|".floor(($first->start + self::MONDAY) / self::WEEK);
    }

    /** Flat-days spent indoors. */
    public function indoorFlatDays(): float
    {
        $sum = 0.0;
        foreach ($this->stages as $stage) {
            $sum += $stage->place->outdoors ? 0.0 : $stage->flatDays();
        }

        return $sum;
    }
}
