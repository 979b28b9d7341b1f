<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Energy\DailyTariff;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;

/** Electricity of all indoor places, shared among the crops, with the water boiled for mixes. Costing rules, section 6. */
final class EnergyBook implements Book
{
    /** @var array<array-key, PlaceEnergy> by place id, every indoor place */
    public array $places = [];

    /** @var array{float, float, float} kWh for light, heat and appliances */
    public array $kwh = [0.0, 0.0, 0.0];

    public readonly int $firstDay;

    private readonly float $meanRate;

    private int $wanted = 0;

    /**
     * @param  list<CropPlan>  $plans
     * @param  list<SupplyUse>  $supplies
     */
    public function __construct(private readonly array $plans, private readonly array $supplies, SeasonIndex $index, Setup $setup)
    {
        $tariff = new DailyTariff($index->season->electricity);
        $this->meanRate = $tariff->mean();
        $stages = [];
        $first = PHP_INT_MAX;
        $last = 0;
        foreach ($plans as $plan) {
            $this->wanted += $plan->crop->wanted;
            $first = min($first, $plan->sowOn());
            $last = max($last, $plan->plantOutOn());
            foreach ($plan->stages as $stage) {
                $stages[$stage->place->id][] = $stage;
            }
        }
        $this->firstDay = $plans === [] ? 0 : $first;
        foreach ($index->season->places as $place) {
            if ($place->outdoors) {
                continue;
            }
            $this->places[$place->id] = $energy = new PlaceEnergy(
                $place,
                new PlaceLoad($this->firstDay, $plans === [] ? 0 : $last - $first, $stages[$place->id] ?? []),
                $index->season->electricity,
                $tariff,
                self::standingAt($place, $index->lights, $setup->lights),
                self::standingAt($place, $index->mats, $setup->mats),
                self::standingAt($place, $index->appliances, $setup->appliances),
            );
            foreach ($energy->totals as $kind => $figures) {
                $this->kwh[$kind] += $figures[PlaceEnergy::KWH];
            }
        }
        foreach ($supplies as $use) {
            $this->kwh[PlaceEnergy::APPLIANCE] += $use->mixingKwh;
        }
    }

    /** Money on the electricity bill: light, heat and appliances of all crops, without the credit for heat. */
    public function bill(): float
    {
        return $this->ofAll(PlaceEnergy::COST) + $this->meanRate * array_sum(array_column($this->supplies, 'mixingKwh'));
    }

    public function heads(int $crop): array
    {
        $power = [0.0, 0.0, 0.0];
        $credit = 0.0;
        foreach ($this->plans[$crop]->stages as $stage) {
            $energy = $this->places[$stage->place->id] ?? null;
            if ($energy === null) {
                continue;
            }
            foreach ($power as $kind => $cost) {
                $power[$kind] = $cost + $energy->share($stage, $kind, PlaceEnergy::COST);
                $credit += $energy->share($stage, $kind, PlaceEnergy::CREDIT);
            }
        }
        foreach ($this->places as $energy) {
            foreach ($energy->unshared as $kind => $figures) {
                $part = $this->plans[$crop]->crop->wanted / $this->wanted;
                $power[$kind] += $figures[PlaceEnergy::COST] * $part;
                $credit += $figures[PlaceEnergy::CREDIT] * $part;
            }
        }
        $power[PlaceEnergy::APPLIANCE] += $this->supplies[$crop]->mixingKwh * $this->meanRate;

        return [
            Head::LightPower->value => $power[PlaceEnergy::LIGHT],
            Head::HeatPower->value => $power[PlaceEnergy::HEAT],
            Head::AppliancePower->value => $power[PlaceEnergy::APPLIANCE],
            Head::HeatCredit->value => $credit,
        ];
    }

    public function saved(int $crop): float
    {
        $saved = $this->supplies[$crop]->mixingKwh * $this->meanRate;
        foreach ($this->plans[$crop]->stages as $stage) {
            $saved += ($this->places[$stage->place->id] ?? null)?->savedWithout($stage) ?? 0.0;
        }

        return $saved;
    }

    public function moved(int $crop, CropPlan $to): ?float
    {
        $places = [];
        foreach ([$this->plans[$crop], $to] as $n => $plan) {
            foreach ($plan->stages as $stage) {
                $places[$stage->place->id][$n][] = $stage;
            }
        }
        $more = 0.0;
        foreach (array_intersect_key($places, $this->places) as $id => $stages) {
            $moved = $this->places[$id]->moved($stages[0] ?? [], $stages[1] ?? []);
            if ($moved === null) {
                return null;
            }
            $more += $moved;
        }

        return $more;
    }

    public function total(): float
    {
        return $this->bill() + $this->ofAll(PlaceEnergy::CREDIT);
    }

    /** @param  PlaceEnergy::COST|PlaceEnergy::CREDIT  $figure */
    private function ofAll(int $figure): float
    {
        $sum = 0.0;
        foreach ($this->places as $energy) {
            foreach ($energy->totals as $figures) {
                $sum += $figures[$figure];
            }
        }

        return $sum;
    }

    /**
     * @template T of Light|Mat|Appliance
     *
     * @param  array<array-key, T>  $rows
     * @param  list<string>  $ids
     * @return list<T>
     */
    private static function standingAt(Place $place, array $rows, array $ids): array
    {
        $here = [];
        foreach ($ids as $id) {
            if ($rows[$id]->place === $place->id) {
                $here[] = $rows[$id];
            }
        }

        return $here;
    }

    /** kWh of one kind that falls to a stage. */
    public function stageKwh(StagePlan $stage, int $kind): float
    {
        return ($this->places[$stage->place->id] ?? null)?->share($stage, $kind, PlaceEnergy::KWH) ?? 0.0;
    }
}
