<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Planning;

use JollyPenny\Core\Plan\Calendar\Timetable;
use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Season\Crops\Anchor;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Season;

/** Whether frost finds a tender crop. Costing rules, section 5. */
enum Frost
{
    case None;
    /** Planted out where frost may still come: told. */
    case Threatens;
    /** Up outdoors before the last frost: it cannot be raised so. */
    case Kills;

    private const HALF_A_DAY = 0.5;

    /**
     * The chance that frost takes it: the last frost strays around its day by as much as is known, and a plant that goes out in the middle
     * of a day is caught by a frost on it or later.
     *
     * @return ?float null for a hardy species, one that goes by the first frost, or where nobody knows how far the last frost strays
     */
    public static function chance(CropPlan $plan, Season $season): ?float
    {
        if (! $plan->species->tender || $plan->crop->anchor !== Anchor::LastFrost || $season->lastFrostSpreadDays <= 0.0) {
            return null;
        }
        $day = $plan->method->isDirectSowing() ? $plan->sown->up : $plan->plantOutOn();

        return 1.0 - NormalDistribution::cumulative(($day - $season->lastFrost->number - self::HALF_A_DAY) / $season->lastFrostSpreadDays);
    }

    /** @param  bool  $outdoors  whether it germinates outdoors */
    public static function forCrop(bool $tender, Season $season, Crop $crop, Timetable $timetable, bool $outdoors): self
    {
        $last = $crop->anchor === Anchor::LastFrost ? $season->lastFrost->number : null;
        $plantedOut = $timetable->stages[count($timetable->stages) - 1][1];

        return match (true) {
            ! $tender => self::None,
            $last !== null && $outdoors && $timetable->sown->up < $last => self::Kills,
            $last !== null && $plantedOut < $last => self::Threatens,
            $season->firstFrost !== null && $plantedOut >= $season->firstFrost->number => self::Threatens,
            default => self::None,
        };
    }
}
