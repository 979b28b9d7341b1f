<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Planning;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Germination\Sown;
use JollyPenny\Core\Plan\Germination\Viability;
use JollyPenny\Core\Plan\Sowing\SowingPlan;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Species;

/** What raising a crop by a method comes to, before any prices: how much is sown, when, and where it stands. */
final readonly class CropPlan
{
    /** From the Monday before the first day of 1970, a Thursday. */
    private const MONDAY = 3;

    private const WEEK = 7;

    /** In winter's own cold a seed that wants it needs no refrigerator: soil at or below this on the mean, °C. */
    private const WINTER_C = 7.0;

    private const SAME = 1e-9;

    /** @param  list<StagePlan>  $stages */
    public function __construct(
        public Crop $crop,
        public SeedLot $lot,
        public Method $method,
        public Species $species,
        public Viability $viability,
        public Sown $sown,
        public float $g,
        public SowingPlan $sowing,
        public array $stages,
        public int $lateDays,
        public bool $frost,
    ) {
    }

    /** The day on which seed goes into the cold before it is sown; null where it wants none, or winter gives it outdoors. */
    public function coldOn(): ?int
    {
        $days = $this->crop->coldDays;

        return $days === 0 || $this->isColdOutdoors($days) ? null : $this->sowOn() - $days;
    }

    private function isColdOutdoors(int $days): bool
    {
        $place = $this->stages[0]->place;
        $sum = 0.0;
        for ($day = $this->sowOn(); $day < $this->sowOn() + $days; $day++) {
            $sum += $place->airOn($day) ?? INF;
        }

        return $place->outdoors && $sum / $days <= self::WINTER_C + self::SAME;
    }

    /** The last container it stands in is smaller than the plant that is wanted; one whose volume nobody knows is not. */
    public function standsTooSmall(): bool
    {
        $last = $this->stages[count($this->stages) - 1]->container->volumeL ?? 0.0;

        return $last > 0.0 && $last < ($this->crop->potAtLeastL ?? 0.0) - Crop::SAME;
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
