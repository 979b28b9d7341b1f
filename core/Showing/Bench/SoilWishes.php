<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Germination\PlannedSoil;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Plan\Germination\TemperatureResponse;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;

/** What the seed at one place wants of the soil, crop by crop. */
final readonly class SoilWishes
{
    /** Fewer of a hundred that come up than this are no difference. A rule of ours. */
    private const CLEARLY = 2;

    /** Of the best percent: nearly all. Common practice, no source. */
    private const NEARLY_ALL = 0.85;

    private const MOST_C = 45.0;

    private const STEP_C = 0.5;

    /**
     * @param  list<Light>  $lights  of the set-up at the place
     * @param  list<Mat>  $mats
     */
    public function __construct(private SetupBooks $books, private array $lights, private array $mats)
    {
    }

    /** @return list<SoilWish> of the crops sown there */
    public function at(string $place): array
    {
        $wishes = [];
        foreach ($this->books->plans as $i => $plan) {
            $table = $this->books->index->species[$plan->lot->species]->germination;
            if ($plan->stages[0]->place->id === $place && $table !== [] && $plan->stages[0]->place->tempC !== null) {
                $wishes[] = $this->wish($plan, $i, $table);
            }
        }

        return $wishes;
    }

    /** @param  non-empty-list<GerminationRow>  $table */
    private function wish(CropPlan $plan, int $crop, array $table): SoilWish
    {
        [$low, $high] = self::range($table);
        $heat = $this->books->energy()->heads($crop)[Head::HeatPower->value] ?? 0.0;

        $without = $this->given($plan, $table, null);
        $with = $this->mats === [] ? null : $this->given($plan, $table, $this->mats[0]);

        return new SoilWish(
            crop: $plan->crop->id,
            low: $low,
            high: $high,
            without: $without,
            with: $with,
            mat_hinders: $without !== null && $with !== null && $with->of_hundred < $without->of_hundred - self::CLEARLY,
            on_mat: $plan->stages[0]->stage->mat && $this->mats !== [],
            mat_each: $heat > 0.0 ? $heat / max(1e-6, $plan->sowing->finish->useful) : null,
        );
    }

    /** @param  non-empty-list<GerminationRow>  $table */
    private function given(CropPlan $plan, array $table, ?Mat $mat): ?SoilGiven
    {
        $stage = $plan->stages[0];
        $bed = new Seedbed($table, new PlannedSoil($stage->place, $stage->stage->light ? $this->lights[0] ?? null : null, $mat));
        $up = $bed->sown($stage->start, $plan->lot->emergenceFactor);

        return $up->isUp ? new SoilGiven($up->soilC, $up->days, (int) round(100 * $plan->viability->value * $up->relative)) : null;
    }

    /**
     * @param  non-empty-list<GerminationRow>  $table
     * @return array{float, float}
     */
    public static function range(array $table): array
    {
        $best = TemperatureResponse::best($table);
        [$low, $high] = [$best->tempC, $best->tempC];
        for ($celsius = 0.0; $celsius <= self::MOST_C; $celsius += self::STEP_C) {
            $response = TemperatureResponse::at($table, $celsius);
            if ($response->rate > 0.0 && $response->percent >= self::NEARLY_ALL * $best->percent) {
                [$low, $high] = [min($low, $celsius), max($high, $celsius)];
            }
        }

        return [$low, $high];
    }
}
