<?php

declare(strict_types=1);

namespace JollyPenny\Core\Calendar;

use JollyPenny\Core\Season\Anchor;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;

/**
 * When each stage of a crop begins and ends, as day numbers; a stage occupies [start, end). Costing rules, section 5.
 */
final readonly class Timetable
{
    /** @param  list<array{int, int}>  $stages  start and end */
    private function __construct(public array $stages, public bool $late)
    {
    }

    /**
     * @param  list<int>  $days  how long each stage lasts
     * @param  list<bool>  $outdoors  which stages are outdoors
     */
    public static function of(Season $season, Crop $crop, array $days, array $outdoors): self
    {
        $target = self::target($season, $crop)->number;
        $start = $target - array_sum($days);
        $late = false;
        if ($crop->sowOn !== null) {
            $waiting = $start - $crop->sowOn->number;
            $start = $crop->sowOn->number;
            $late = $waiting < 0;
            if ($waiting > 0) {
                $indoors = array_keys($outdoors, false, true);
                $days[$indoors === [] ? count($days) - 1 : max($indoors)] += $waiting;
            }
        }
        $stages = [];
        foreach ($days as $length) {
            $stages[] = [$start, $start + $length];
            $start += $length;
        }

        return new self($stages, $late);
    }

    /** The day on which the crop should go out. */
    public static function target(Season $season, Crop $crop): Day
    {
        $frost = $crop->anchor === Anchor::FirstFrost ? $season->firstFrost ?? $season->lastFrost : $season->lastFrost;

        return $frost->plus($crop->plantOutOffsetDays);
    }

    /**
     * The month whose temperature the seed germinates in: that of a fixed sowing date, else that in which the first
     * stage ends.
     *
     * @param  list<int>  $laterDays  how long the stages after the first last
     */
    public static function germinationMonth(Season $season, Crop $crop, array $laterDays): int
    {
        return ($crop->sowOn ?? self::target($season, $crop)->plus(-array_sum($laterDays)))->month();
    }
}
