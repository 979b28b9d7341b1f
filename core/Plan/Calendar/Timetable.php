<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Calendar;

use JollyPenny\Core\Plan\Germination\Failure;
use JollyPenny\Core\Plan\Germination\FirstStage;
use JollyPenny\Core\Plan\Germination\Sown;
use JollyPenny\Core\Season\Crops\Anchor;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * When each stage of a crop begins and ends, as day numbers; a stage occupies [start, end). Costing rules, section 5.
 */
final readonly class Timetable
{
    private const WEEK = 7;

    /**
     * @param  list<array{int, int}>  $stages  start and end
     * @param  int  $lateDays  days after the target on which it goes out
     */
    private function __construct(public Sown $sown, public array $stages, public int $lateDays)
    {
    }

    /**
     * @param  list<bool>  $outdoors  which stages are outdoors
     * @param  ?float  $weeks  the species', from sowing in good warmth to planting out; known where a stage rests. Seed that comes up late
     *     in a cold room is sown earlier, and does not grow the less: a stage that rests takes what growth needs
     * @return self|Failure why the seed does not come up
     */
    public static function forCrop(
        Season $season,
        Crop $crop,
        Method $method,
        array $outdoors,
        FirstStage $first,
        ?float $weeks,
    ): self|Failure {
        $days = array_map(fn (Stage $stage): int => $stage->givenDays(), $method->stages);
        $days[0] = 0;
        $rest = array_keys(array_filter($method->stages, fn (Stage $stage): bool => $stage->isRest()))[0] ?? null;
        if ($rest !== null) {
            $days[$rest] = max(1, Ceiling::roundUp(self::WEEK * (float) $weeks * $method->weeksShare) - $first->leastDays() - array_sum($days));
        }
        $target = self::target($season, $crop)->number;
        $fixed = self::fixedSowing($season, $crop, $method, $outdoors[0]);

        return $fixed === null
            ? self::backwards($first->overBy($target - array_sum($days)), $days, $target)
            : self::forwards($first->sown($fixed), $days, $rest, $target, $method->isDirectSowing() ? null : $outdoors);
    }

    /** The day on which the crop should go out. */
    public static function target(Season $season, Crop $crop): Day
    {
        return self::anchor($season, $crop)->plus($crop->plantOutOffsetDays);
    }

    private static function anchor(Season $season, Crop $crop): Day
    {
        return $crop->anchor === Anchor::FirstFrost ? $season->firstFrost ?? $season->lastFrost : $season->lastFrost;
    }

    private static function fixedSowing(Season $season, Crop $crop, Method $method, bool $outdoors): ?int
    {
        $offset = match (true) {
            $method->isDirectSowing() => $crop->bedSowOffsetDays,
            $outdoors => $crop->outdoorSowOffsetDays,
            default => null,
        };

        return $crop->sowOn->number ?? ($offset === null ? null : self::anchor($season, $crop)->plus($offset)->number);
    }

    /**
     * From a sowing day on. A stage that rests waits for the target; other days of waiting go to the last stage indoors.
     *
     * @param  array<int, int>  $days  of a stage that rests what growth needs
     * @param  ?list<bool>  $outdoors  null for a direct sowing, which never waits and is never late
     */
    private static function forwards(Sown|Failure $sown, array $days, ?int $rest, int $target, ?array $outdoors): self|Failure
    {
        if ($sown instanceof Failure) {
            return $sown;
        }
        $days[0] = $sown->days;
        if ($rest !== null) {
            $days[$rest] = max($days[$rest], $target - $sown->on - (array_sum($days) - $days[$rest]));
        }
        $waiting = $target - $sown->on - array_sum($days);
        if ($outdoors !== null && $waiting > 0) {
            $indoors = array_keys($outdoors, false, true);
            $days[$indoors === [] ? count($days) - 1 : max($indoors)] += $waiting;
        }

        return self::laid($sown, $days, $outdoors === null ? 0 : max(0, -$waiting));
    }

    /** @param  array<int, int>  $days */
    private static function backwards(Sown|Failure $sown, array $days, int $target): self|Failure
    {
        if ($sown instanceof Failure) {
            return $sown;
        }
        $days[0] = $target - array_sum($days) - $sown->on;

        return self::laid($sown, $days);
    }

    /** @param  array<int, int>  $days */
    private static function laid(Sown $sown, array $days, int $lateDays = 0): self
    {
        $start = $sown->on;
        $stages = [];
        foreach ($days as $length) {
            $stages[] = [$start, $start + $length];
            $start += $length;
        }

        return new self($sown, $stages, $lateDays);
    }
}
