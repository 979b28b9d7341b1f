<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * The stage in which seed germinates: how long it lasts from a sowing day, or when to sow so that it is over on a day. Costing
 * rules, sections 3 (step 7) and 5.
 */
final readonly class FirstStage
{
    /**
     * @param  ?Seedbed  $seedbed  null where nothing is modelled: no table, or no temperature
     * @param  ?float  $daysToEmerge  the species' own number, used where nothing is modelled
     */
    public function __construct(
        private Stage $stage,
        private ?Seedbed $seedbed,
        private ?float $daysToEmerge,
        private float $emergenceFactor,
    ) {
    }

    public function sown(int $day): Sown|Failure
    {
        return $this->seedbed === null
            ? $this->unmodelled($day)
            : $this->modelled($this->seedbed->sown($day, $this->emergenceFactor));
    }

    /** Sown as late as it can be and still be over by that day. */
    public function overBy(int $end): Sown|Failure
    {
        if ($this->seedbed === null) {
            return $this->unmodelled($end - $this->unmodelled(0)->days);
        }

        return $this->modelled($this->seedbed->upBy($end - $this->stage->extraDays, $this->emergenceFactor, $this->givenDays()));
    }

    /** The stage's own days with seed that comes up as fast as it can. */
    public function leastDays(): int
    {
        return $this->seedbed === null
            ? $this->unmodelled(0)->days
            : max($this->givenDays(), $this->seedbed->shortestDays($this->emergenceFactor)) + $this->stage->extraDays;
    }

    private function modelled(Emergence $emergence): Sown|Failure
    {
        return $emergence->failure ?? new Sown(
            $emergence->sown,
            max($this->givenDays(), $emergence->days) + $this->stage->extraDays,
            $emergence->sown + $emergence->days,
            $emergence->relative,
            $emergence->soilC,
        );
    }

    private function unmodelled(int $day): Sown
    {
        if (! $this->stage->untilEmergence()) {
            return new Sown($day, $this->stage->givenDays(), $day + $this->stage->givenDays());
        }
        $days = Ceiling::roundUp((float) $this->daysToEmerge * $this->emergenceFactor);

        return new Sown($day, $days + $this->stage->extraDays, $day + $days);
    }

    private function givenDays(): int
    {
        return is_int($this->stage->days) ? $this->stage->days : 0;
    }
}
