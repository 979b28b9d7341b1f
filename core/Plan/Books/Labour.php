<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;

/** The gardener's own time. Costing rules, section 7, labour. */
final readonly class Labour
{
    /** Hours one crop takes: at its sites, by flat and day, mixing, and preparing what is filled. */
    public static function hours(CropPlan $plan, SupplyUse $use): float
    {
        $minutes = $use->mixingMinutes;
        foreach ($plan->stages as $stage) {
            $minutes += $stage->sites * $stage->stage->minutesPerSite + $stage->flatDays() * $stage->stage->minutesPerFlatDay
                + ($stage->fills() ? $stage->units() * ($stage->container->prepMinutesPerUnit ?? 0.0) : 0.0);
        }

        return $minutes / 60;
    }
}
