<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Hardiness;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Things\Place;

/**
 * Where else a crop could stand for the end of a stage: another place under a roof whose daylight is known, from the first day on which it
 * stays warm enough there until the stage is over. A copy of its method has that stage parted, and the crop is raised so. What is common
 * practice here has no source.
 */
final readonly class Moves
{
    /** So much warmer than the lowest it stands the place's mean must be: its nights are colder, °C. */
    private const WARMER_C = 4.0;

    /** Fewer days are not worth carrying for. */
    private const LEAST_DAYS = 5;

    private Catalogue $catalogue;

    public function __construct(private SetupBooks $books)
    {
        $this->catalogue = new Catalogue;
    }

    /** @return list<Move> */
    public function forCrop(string $crop): array
    {
        $plan = $this->books->plans[$this->books->grown[$crop] ?? -1] ?? null;
        $moves = [];
        foreach ($plan->stages ?? [] as $i => $stage) {
            if ($plan === null || $i === 0 || $stage->container === null || $stage->place->outdoors) {
                continue;
            }
            foreach ($this->books->season()->places as $place) {
                $from = $place->id === $stage->place->id ? null : $this->soundFrom($plan, $stage, $place);
                $from === null ?: $moves[] = $this->move($plan, $i, $place, $from);
            }
        }

        return $moves;
    }

    /** The first day from which it is warm and light enough there until the stage is over; null where it never is for long. */
    private function soundFrom(CropPlan $plan, StagePlan $stage, Place $place): ?int
    {
        if ($place->outdoors || $place->tempC === null || $place->daylight === null) {
            return null;
        }
        $species = $this->catalogue->recognise(SeasonDraft::kinIn($plan->species->meta), $plan->species->name);
        $least = Hardiness::forSpecies($species, $plan->species->tender)->standsC + self::WARMER_C;
        $from = $stage->end;
        while ($from > $stage->start && $place->airOn($from - 1) >= $least) {
            $from--;
        }

        return $stage->end - $from < self::LEAST_DAYS ? null : $from;
    }

    private function move(CropPlan $plan, int $i, Place $place, int $from): Move
    {
        $season = $this->books->season();
        $stage = $plan->method->stages[$i];
        $left = $plan->stages[$i]->end - $from;
        $there = $stage->with(place: $place->id, light: false, mat: false);
        $stages = $plan->method->stages;
        array_splice($stages, $i, 1, $from === $plan->stages[$i]->start ? [$there->with(name: "{$stage->name}, {$place->name}")] : [
            $this->shortened($stage, $plan->stages[$i]->days() - $left),
            // What was filled and set up stays so: it is only carried.
            $there->with(name: "Move to {$place->name}", days: $left, container: null, mix: null, fill: 1.0, topDressing: null, extraDays: 0, until: null,
                survival: 1.0, plantsPerSite: 1, minutesPerSite: 0.0),
        ]);
        $method = $plan->method->with(id: $this->freeId("{$plan->method->id}-{$place->id}"),
            name: "{$plan->method->name}, then {$place->name}", stages: $stages, meta: null);
        $setup = $this->books->setup;
        $edits = [['path' => ['methods', $method->id], 'to' => (new SeasonWriter)->row($method)],
            ['path' => ['setups', $setup->id, 'overrides', $plan->crop->id], 'to' => $method->id]];

        return new Move($plan->crop->id, $plan->lot->variety, $place->name, Day::ofNumber($from)->format(), $edits,
            $season->with(methods: [...$season->methods, $method]), $method->id);
    }

    /** What is left of a stage that is over earlier; one that rests goes on resting. */
    private function shortened(Stage $stage, int $days): Stage
    {
        return $stage->isRest() ? $stage : $stage->with(days: $days - $stage->extraDays);
    }

    private function freeId(string $id): string
    {
        $taken = array_fill_keys(array_map(fn (Method $one): string => $one->id, $this->books->season()->methods), true);
        for ($n = 2, $free = $id; isset($taken[$free]); $n++) {
            $free = "{$id}-{$n}";
        }

        return $free;
    }
}
