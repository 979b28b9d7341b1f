<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Season\Day;

/** Evening after evening, what may not stay out: called whenever the chance of a night too cold for it is above one in ten. */
final readonly class Nights
{
    /**
     * Above this chance it is not left to luck. A rule of ours: of the nights that are too cold fewer than one in
     * twenty come unsaid then, and more than half of the calls are right (docs/weather.md). */
    public const CHANCE = 0.1;

    /** So many standard deviations on the mild side the chance is 0.067. */
    private const MILD_Z = -1.5;

    /** A fleece over the plants keeps off so much. Common practice, no source. */
    public const COVER_C = 2.5;

    /** Minutes to begin with, and for each plant. Common practice, no source. */
    private const CARRY_MINUTES = [2.0, 0.2];

    private const COVER_MINUTES = [1.0, 0.1];

    /** @var array<int, ForecastTrust> */
    private array $trust;

    public function __construct(private PlantsOutside $plants, private OpenAir $weather)
    {
        $this->trust = ForecastTrust::course($weather->book);
    }

    /** @return ?Night null where nobody has forecast it, or nothing stands outdoors */
    public function night(int $evening): ?Night
    {
        $said = $this->weather->book->forecast($evening + 1, min($evening, $this->weather->today));
        $outside = $said === null ? [] : $this->plants->on($evening);
        if ($said === null || $outside === []) {
            return null;
        }
        $trust = $this->trustBefore(min($evening, $this->weather->today));
        $low = $said->low - $trust->colder_c;
        $measured = $evening < $this->weather->today ? $this->weather->book->measured[$evening + 1] ?? null : null;
        $in = $cover = [];
        $fails = $was = false;
        foreach ($outside as $one) {
            $z = ($one->limitC - $low - $one->shelterC) / $trust->spread_c;
            $was = $was || ($measured !== null && $measured->low + $one->shelterC < $one->limitC);
            // Most evenings are mild: their chance is not worth working out.
            $chance = $z < self::MILD_Z ? 0.0 : NormalDistribution::cumulative($z);
            if ($chance <= self::CHANCE) {
                continue;
            }
            $row = ['crop' => $one->crop, 'name' => $one->name, 'count' => $one->count, 'limit_c' => $one->limitC, 'chance' => $chance];
            if ($one->isInTheBed) {
                $cover[] = $row;
                $fails = $fails || $low + $one->shelterC < $one->limitC - self::COVER_C;
            } else {
                $in[] = $row;
            }
        }

        return new Night(
            on: Day::ofNumber($evening)->format(),
            low_c: $low,
            forecast_c: $said->low,
            measured_c: $measured?->low,
            spread_c: $trust->spread_c,
            bring_in: $in,
            cover: $cover,
            cover_may_fail: $fails,
            minutes: self::minutes($in, self::CARRY_MINUTES) + self::minutes($cover, self::COVER_MINUTES),
            is_cold: $in !== [] || $cover !== [],
            was_cold: $measured === null ? null : $was,
        );
    }

    private function trustBefore(int $evening): ForecastTrust
    {
        for ($made = $evening - 1; $made >= (array_key_first($this->trust) ?? $evening); $made--) {
            if (isset($this->trust[$made])) {
                return $this->trust[$made];
            }
        }

        return ForecastTrust::fresh();
    }

    /** @return list<Night> from one evening to another, without those of which nothing is known */
    public function between(int $from, int $to): array
    {
        $nights = [];
        for ($evening = $from; $evening <= $to; $evening++) {
            $night = $this->night($evening);
            $night === null ?: $nights[] = $night;
        }

        return $nights;
    }

    /**
     * @param  list<Night>  $nights
     * @return array{nights: int, called: int, right: int, missed: int} of those whose cold is known: how many, for how many something was to do,
     *     how many of these came too cold indeed, and how many came too cold without a word
     */
    public static function record(array $nights): array
    {
        $known = array_filter($nights, fn (Night $night): bool => $night->was_cold !== null);
        $called = array_filter($known, fn (Night $night): bool => $night->is_cold);

        $right = array_filter($called, fn (Night $night): bool => $night->was_cold === true);
        $missed = array_filter($known, fn (Night $night): bool => $night->was_cold === true && ! $night->is_cold);

        return ['nights' => count($known), 'called' => count($called), 'right' => count($right), 'missed' => count($missed)];
    }

    /**
     * @param  list<array{count: int}>  $plants
     * @param  array{float, float}  $minutes
     */
    private static function minutes(array $plants, array $minutes): float
    {
        return $plants === [] ? 0.0 : $minutes[0] + $minutes[1] * array_sum(array_column($plants, 'count'));
    }
}
