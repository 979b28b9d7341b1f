<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Planning;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Calendar\Timetable;
use JollyPenny\Core\Plan\Germination\Failure;
use JollyPenny\Core\Plan\Germination\FirstStage;
use JollyPenny\Core\Plan\Germination\PlannedSoil;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Plan\Germination\Viability;
use JollyPenny\Core\Plan\Sowing\Chain;
use JollyPenny\Core\Plan\Sowing\Known;
use JollyPenny\Core\Plan\Sowing\Sower;
use JollyPenny\Core\Plan\Sowing\SowingPlan;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\MoveOn;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Species;
use JollyPenny\Core\Season\Units\Ceiling;

/** Germination, sowing and calendar of one crop. A plan depends on nothing else that is grown, so it is kept. */
final class CropPlanner
{
    /** @var array<array-key, array<array-key, array<array-key, array<array-key, CropPlan|Warning>>>> by crop, method, lamp and mat */
    private array $plans = [];

    /** @var array<string, Seedbed> */
    private array $seedbeds = [];

    public readonly Sower $sower;

    /**
     * @param  ?Sower  $sower  of a season with the same chance of mishaps: what it has sized is not sized again
     * @param  ?self  $like  of a season that differs in its crops, methods and seed alone: plans of which these are the same are shared
     * @param  ?Known  $known  answers from an earlier look
     */
    public function __construct(private readonly SeasonIndex $index, ?Sower $sower = null, private readonly ?self $like = null, ?Known $known = null)
    {
        $this->sower = $sower ?? $like->sower ?? new Sower($index->season->mishap, $known ?? new Known());
    }

    /**
     * @param  ?Light  $light  the set-up's first light at the place of the first stage
     * @param  ?Mat  $mat  the set-up's first mat there
     * @return CropPlan|Warning why it cannot be raised so
     */
    public function plan(Crop $crop, Method $method, ?Light $light, ?Mat $mat): CropPlan|Warning
    {
        $first = $method->stages[0];
        $light = $first->light ? $light : null;
        $mat = $first->mat ? $mat : null;
        [$lamp, $warmth] = [$light->id ?? '', $mat->id ?? ''];
        $known = $this->like->plans[$crop->id][$method->id][$lamp][$warmth] ?? null;
        if ($known instanceof CropPlan && self::isSame($known->crop, $crop) && self::isSame($known->method, $method)
            && self::isSame($known->lot, $this->index->lots[$crop->lot])) {
            return $known;
        }

        return $this->plans[$crop->id][$method->id][$lamp][$warmth] ??= $this->make($crop, $method, $light, $mat);
    }

    /** The plan of a crop as the season does not have it, for a question about it; it is not kept. */
    public function planOtherwise(Crop $crop, Method $method, ?Light $light, ?Mat $mat): CropPlan|Warning
    {
        return $this->make($crop, $method, $method->stages[0]->light ? $light : null, $method->stages[0]->mat ? $mat : null);
    }

    /** Rows that no edit touched are mostly the same object, which is told at once. */
    private static function isSame(Crop|Method|SeedLot $one, Crop|Method|SeedLot $other): bool
    {
        return $one === $other || $one == $other;
    }

    private function make(Crop $crop, Method $method, ?Light $light, ?Mat $mat): CropPlan|Warning
    {
        $season = $this->index->season;
        $lot = $this->index->lots[$crop->lot];
        $species = $this->index->species[$lot->species];
        $outdoors = array_map(fn (Stage $stage): bool => $this->index->places[$stage->place]->outdoors, $method->stages);
        $place = $this->index->places[$method->stages[0]->place];
        $first = new FirstStage($method->stages[0], $this->seedbed($species, $place, $light, $mat), $species->daysToEmerge,
            $lot->emergenceFactor);
        $timetable = Timetable::forCrop($season, $crop, $method, $outdoors, $first, $species->weeks);
        if ($timetable instanceof Failure) {
            return Warning::from($timetable->value);
        }
        $frost = Frost::forCrop($species->tender, $season, $crop, $timetable, $outdoors[0]);
        if ($frost === Frost::Kills) {
            return Warning::Frost;
        }
        $viability = Viability::forLot($lot, $species, $season->year);
        $relative = $timetable->sown->relative;
        [$bad, $good] = TwoValues::around($viability->value, $viability->deviation());
        $g = $viability->value * $relative;
        $sowing = $this->sower->plan($method, $crop, Chain::forCrop($method, $crop, $g, [$bad * $relative, $good * $relative], $season));

        return $sowing === null ? Warning::CannotReach : new CropPlan(
            crop: $crop,
            lot: $lot,
            method: $method,
            species: $species,
            viability: $viability,
            sown: $timetable->sown,
            g: $g,
            sowing: $sowing,
            stages: $this->stages($crop, $method, $sowing, $timetable),
            lateDays: $timetable->lateDays,
            frost: $frost === Frost::Threatens,
        );
    }

    /** Null where nothing is modelled. */
    private function seedbed(Species $species, Place $place, ?Light $light, ?Mat $mat): ?Seedbed
    {
        $table = $species->germination;
        if ($table === [] || $place->tempC === null) {
            return null;
        }

        return $this->seedbeds[(string) json_encode([$species->id, $place->id, $light?->id, $mat?->id])]
            ??= new Seedbed($table, new PlannedSoil($place, $light, $mat));
    }

    /** @return list<StagePlan> */
    private function stages(Crop $crop, Method $method, SowingPlan $sowing, Timetable $timetable): array
    {
        $plans = [];
        $container = null;
        $sites = $sowing->sites;
        $pottedOn = 0;
        foreach ($method->stages as $i => $stage) {
            if ($stage->container !== null) {
                $container = $this->index->containers[$stage->container];
                if ($i > 0) {
                    $plants =
                        $crop->moveOn === MoveOn::All ? $sowing->aliveBefore[$pottedOn] : min($sowing->caps[$pottedOn], $sowing->units);
                    $sites = Ceiling::roundUp($plants / $stage->plantsPerSite);
                    $pottedOn++;
                }
            }
            $flats = $container === null ? 0.0 : ($sites / $container->sitesPerUnit) * $container->flatsPerUnit;
            [$start, $end] = $timetable->stages[$i];
            $plans[] = new StagePlan($stage, $this->index->places[$stage->place], $container, $start, $end, $sites, $flats);
        }

        return $plans;
    }
}
