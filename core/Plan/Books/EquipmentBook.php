<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;

/**
 * One season's share of lamps, mats, appliances and gear, by the flat-days they serve. Costing rules, section 7, head 9.
 * A set-up that grows nothing leaves all of it in the shop.
 */
final class EquipmentBook implements Book
{
    /** @var list<Equipment> */
    public array $items = [];

    /** @var array<string, array{array<int, float>, float}> shares and their sum, by what they are shared by */
    private array $weights = [];

    /** @var ?list<array<string, float>> by crop and head, once somebody asks */
    private ?array $heads = null;

    /**
     * @param  list<CropPlan>  $plans
     * @param  EnergyOnceAsked  $energy  what each thing costs does not depend on it, only who bears how much of it
     */
    public function __construct(
        private readonly array $plans,
        private readonly SeasonIndex $index,
        Setup $setup,
        private readonly EnergyOnceAsked $energy,
    ) {
        if ($plans === []) {
            return;
        }
        foreach (
            [
                'light' => [Head::Lights, $index->lights, $setup->lights],
                'mat' => [Head::Mats, $index->mats, $setup->mats],
                'appliance' => [Head::Appliances, $index->appliances, $setup->appliances],
            ] as $kind => [$head, $rows, $ids]
        ) {
            foreach ($ids as $id) {
                $this->add($kind, $rows[$id], $head, $rows[$id]->place);
            }
        }
        $needs = [];
        foreach ($plans as $crop => $plan) {
            foreach ($plan->method->needs as $id) {
                $needs[$id][] = $crop;
            }
        }
        foreach ($index->season->gear as $gear) {
            $listed = in_array($gear->id, $setup->gear, true);
            if ($listed || isset($needs[$gear->id])) {
                $this->add('gear', $gear, Head::Gear, null, $listed ? null : $needs[$gear->id]);
            }
        }
    }

    public function heads(int $crop): array
    {
        $this->heads ??= $this->shares();

        return $this->heads[$crop];
    }

    public function saved(int $crop): float
    {
        $saved = 0.0;
        foreach ($this->items as $item) {
            if (count($this->plans) === 1 || $item->neededBy === [$crop]) {
                $saved += $item->charge;
            }
        }

        return $saved;
    }

    public function moved(int $crop, CropPlan $to): ?float
    {
        return $this->plans[$crop]->method === $to->method ? 0.0 : null;
    }

    public function total(): float
    {
        return array_sum(array_column($this->items, 'charge'));
    }

    /** @param  ?list<int>  $neededBy */
    private function add(string $kind, Light|Mat|Appliance|Gear $row, Head $head, ?string $place, ?array $neededBy = null): void
    {
        $season = $this->index->season;
        $charge =
            $row->owned && ! $season->chargeOwned ? 0.0 : CapitalRecovery::share($row->price, $row->lifeSeasons, $season->discountRate);
        $this->items[] = new Equipment(
            kind: $kind,
            id: $row->id,
            head: $head,
            price: $row->price,
            lifeSeasons: $row->lifeSeasons,
            owned: $row->owned,
            charge: $charge,
            place: $place,
            neededBy: $neededBy,
        );
    }

    /** @return list<array<string, float>> */
    private function shares(): array
    {
        $heads = array_fill(0, count($this->plans), []);
        foreach ($this->items as $item) {
            [$weights, $sum] = $this->weights[$item->sharedBy()] ??= $this->weightsOf($item);
            foreach ($weights as $crop => $weight) {
                $heads[$crop][$item->head->value] = ($heads[$crop][$item->head->value] ?? 0.0) + ($item->charge * $weight) / $sum;
            }
        }

        return $heads;
    }

    /** @return array{array<int, float>, float} */
    private function weightsOf(Equipment $item): array
    {
        $crops = $item->neededBy ?? array_keys($this->plans);
        $weights = [];
        foreach ($crops as $crop) {
            $weights[$crop] = $this->flatDays($crop, $item);
        }
        if (array_sum($weights) <= 0.0) {
            foreach ($crops as $crop) {
                $weights[$crop] = (float) $this->plans[$crop]->crop->wanted;
            }
        }

        return [$weights, array_sum($weights)];
    }

    private function flatDays(int $crop, Equipment $item): float
    {
        if ($item->place === null) {
            return $this->plans[$crop]->indoorFlatDays();
        }
        $energy = $this->energy->book()->places[$item->place];
        $sum = 0.0;
        foreach ($this->plans[$crop]->stages as $stage) {
            if (
                $stage->place->id === $item->place &&
                match ($item->kind) {
                    'light' => $energy->lit($stage),
                    'mat' => $energy->warmed($stage),
                    default => true,
                }
            ) {
                $sum += $stage->flatDays();
            }
        }

        return $sum;
    }
}
