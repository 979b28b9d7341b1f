<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Germination\Emergence;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Day;

/**
 * When the seed of a season comes up, by the costing's own rule of adding up the rates of the days (costing rules, section 3, step 6),
 * with each day's temperature as it was measured, else as it is forecast, else as it is planned.
 */
final readonly class Emerging
{
    /** Days that nobody has measured may be so much warmer or colder all along, °C; a room strays less than the open. Rules of ours. */
    private const STRAYS_OUTDOORS_C = 2.0;

    private const STRAYS_INDOORS_C = 1.0;

    /** Later by more than this share of its days, something is wrong. */
    private const LATE_SHARE = 1 / 3;

    /**
     * @param  array<array-key, array<int, float>>  $soil  means by day of thermometers in the soil, by the id of their mat
     * @param  array<array-key, array<int, float>>  $air  the same of thermometers in the air, by the id of their place
     */
    public function __construct(
        private SetupBooks $books,
        private LogBook $log,
        private OpenAir $weather,
        private array $soil = [],
        private array $air = [],
    ) {
    }

    /** @return array<array-key, Due> what is sown and not up yet, by crop */
    public function all(): array
    {
        $due = [];
        $sown = self::sown($this->books, $this->log);
        foreach ($this->books->plans as $plan) {
            if (isset($sown[$plan->crop->id])) {
                $due[$plan->crop->id] = $this->due($plan, $sown[$plan->crop->id]);
            }
        }

        return $due;
    }

    /** @return array<array-key, int> day number of sowing of what is sown and of which nothing is up yet, by crop */
    public static function sown(SetupBooks $books, LogBook $log): array
    {
        $sown = [];
        foreach ($books->plans as $plan) {
            $facts = $log->crop($plan->crop->id);
            // Seen to be up, whatever the thermometer says.
            if ($facts->sown_on !== null && ($facts->up ?? 0) === 0 && $facts->gone + $facts->lost === 0) {
                $sown[$plan->crop->id] = Day::parse($facts->sown_on)->number;
            }
        }

        return $sown;
    }

    private function due(CropPlan $plan, int $sown): Due
    {
        $strays = $plan->stages[0]->place->outdoors ? self::STRAYS_OUTDOORS_C : self::STRAYS_INDOORS_C;
        $planned = $sown + $plan->sown->up - $plan->sown->on;
        $likely = $this->emergence($plan, $sown, 0.0);
        $up = $likely === null ? $planned : $sown + $likely->days;
        $early = $this->emergence($plan, $sown, $strays);
        $late = $this->emergence($plan, $sown, -$strays);
        [$measured, $forecast] = $this->restsOn($plan, $sown, min($up, $this->weather->today + WeatherBook::AHEAD));
        $isLate = $this->weather->today - $sown > ($up - $sown) * (1 + self::LATE_SHARE);
        // What was due and is not there yet may be there today.
        $from = $early === null || ! $early->isUp ? $up : min($up, $sown + $early->days);
        $until = $late === null ? $up : max($up, $sown + $late->days);

        return new Due(
            crop: $plan->crop->id,
            sown_on: Day::ofNumber($sown)->format(),
            on: Day::ofNumber($up)->format(),
            from: Day::ofNumber($from)->format(),
            until: $late !== null && ! $late->isUp ? null : Day::ofNumber($until)->format(),
            planned_on: Day::ofNumber($planned)->format(),
            is_late: $isLate,
            measured: $measured,
            forecast: $forecast,
            soil_c: $likely?->soilC,
        );
    }

    /** Null where nothing is modelled. */
    private function emergence(CropPlan $plan, int $sown, float $warmer): ?Emergence
    {
        $first = $plan->stages[0];
        if ($plan->species->germination === [] || ($first->place->tempC === null && ! $first->place->outdoors)
            || ($first->place->tempC === null && $this->weather->book->isEmpty())) {
            return null;
        }
        $mat = $first->stage->mat ? $this->books->firstMat($first->place->id) : null;
        $soil = new WeatherSoil($this->weather, $first->place, $first->container === null,
            $first->stage->light ? $this->books->firstLight($first->place->id) : null, $mat, $this->soil[$mat->id ?? ''] ?? [],
            $this->air[$first->place->id] ?? [], $warmer);

        return (new Seedbed($plan->species->germination, $soil))->sown($sown, $plan->lot->emergenceFactor);
    }

    /** @return array{int, int} of the days since sowing, how many rest on a thermometer and how many on a forecast */
    private function restsOn(CropPlan $plan, int $sown, int $until): array
    {
        $first = $plan->stages[0];
        $mat = $first->stage->mat ? $this->books->firstMat($first->place->id) : null;
        $measured = $forecast = 0;
        for ($day = $sown; $day < $until; $day++) {
            $here = $day <= $this->weather->today && (isset($this->air[$first->place->id][$day]) || isset($this->soil[$mat->id ?? ''][$day]));
            $source = $first->place->outdoors ? $this->weather->sourceOf($day) : 'planned';
            $measured += (int) ($here || $source === 'measured');
            $forecast += (int) (! $here && $source === 'forecast');
        }

        return [$measured, $forecast];
    }
}
