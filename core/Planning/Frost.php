<?php

declare(strict_types=1);

namespace JollyPenny\Core\Planning;

use JollyPenny\Core\Calendar\Timetable;
use JollyPenny\Core\Season\Anchor;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Season;

/** Whether frost finds a tender crop. Costing rules, section 5. */
enum Frost
{
    case None;
    /** Planted out where frost may still come: told. */
    case Threatens;
    /** Up outdoors before the last frost: it cannot be raised so. */
    case Kills;

    /** @param  bool  $outdoors  whether it germinates outdoors */
    public static function of(bool $tender, Season $season, Crop $crop, Timetable $timetable, bool $outdoors): self
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
