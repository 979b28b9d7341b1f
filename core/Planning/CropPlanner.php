<?php

declare(strict_types=1);

namespace JollyPenny\Core\Planning;

use JollyPenny\Core\Calendar\StagePlan;
use JollyPenny\Core\Calendar\Timetable;
use JollyPenny\Core\Germination\SoilTemperature;
use JollyPenny\Core\Germination\TemperatureResponse;
use JollyPenny\Core\Germination\Viability;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Light;
use JollyPenny\Core\Season\Mat;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\MoveOn;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Sowing\Sower;
use JollyPenny\Core\Sowing\SowingPlan;
use JollyPenny\Core\Units\Ceiling;

/** Germination, sowing and calendar of one crop. A plan depends on nothing else that is grown, so it is kept. */
final class CropPlanner
{
    /** @var array<string, CropPlan|Warning> */
    private array $plans = [];

    public function __construct(private readonly SeasonIndex $index, private readonly Sower $sower = new Sower())
    {
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
        $key = json_encode([$crop->id, $method->id, $light?->id, $mat?->id]);

        return $this->plans[(string) $key] ??= $this->make($crop, $method, $light, $mat);
    }

    private function make(Crop $crop, Method $method, ?Light $light, ?Mat $mat): CropPlan|Warning
    {
        $season = $this->index->season;
        $lot = $this->index->lots[$crop->lot];
        $species = $this->index->species[$lot->species];
        $days = array_map(fn ($stage): int => (int) $stage->days + $stage->extraDays, $method->stages);
        $month = Timetable::germinationMonth($season, $crop, array_slice($days, 1));
        $soilC = SoilTemperature::under($this->index->places[$method->stages[0]->place]->temperatureIn($month), $light, $mat);
        $response = TemperatureResponse::of($species, $soilC);
        if ($response->failure !== null) {
            return Warning::from($response->failure->value);
        }
        if ($method->stages[0]->untilEmergence()) {
            $days[0] += Ceiling::of((float) $response->days * $lot->emergenceFactor);
        }
        $viability = Viability::of($lot, $species, $season->year);
        $g = $viability->value * $response->relative;
        $sowing = $this->sower->plan($method, $crop, $g, $season->confidence);
        if ($sowing === null) {
            return Warning::CannotReach;
        }
        $outdoors = array_map(fn ($stage): bool => $this->index->places[$stage->place]->outdoors, $method->stages);
        $timetable = Timetable::of($season, $crop, $days, $outdoors);

        return new CropPlan(
            $crop,
            $lot,
            $method,
            $viability,
            $soilC,
            $response,
            $g,
            $sowing,
            $this->stages($crop, $method, $sowing, $timetable),
            $timetable->late,
        );
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
                    $sites = Ceiling::of($plants / $stage->plantsPerSite);
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
