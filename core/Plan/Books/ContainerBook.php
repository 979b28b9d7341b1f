<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Units\Ceiling;

/** Containers single-use and durable, their washing, and trayware. Costing rules, section 7, heads 6 and 7. */
final class ContainerBook implements Book
{
    /** @var array<array-key, DurableUse> by container id */
    public array $durable = [];

    /** @var array<array-key, DurableUse> by trayware id */
    public array $trayware = [];

    /** @var array<array-key, float> units filled of single-use containers, by id */
    public array $singleUse = [];

    /** @var list<float> money for single-use containers, by crop */
    private array $singleUseCost = [];

    /** @var list<float> money for washing and holing, by crop */
    private array $prep = [];

    /** @var list<list<DurableUse>> by crop */
    private array $usedBy = [];

    /** @param  list<CropPlan>  $plans */
    public function __construct(private readonly array $plans, private readonly SeasonIndex $index)
    {
        $spans = $filled = $traySpans = $trayDays = [];
        foreach ($plans as $crop => $plan) {
            $single = $prep = 0.0;
            foreach ($plan->stages as $stage) {
                $container = $stage->container;
                if ($container !== null && $stage->fills()) {
                    $prep += $stage->units() * $container->prepCostPerUnit;
                    if ($container->singleUse) {
                        $single += $stage->units() * $container->unitPrice();
                        $this->singleUse[$container->id] = ($this->singleUse[$container->id] ?? 0.0) + $stage->units();
                    } else {
                        $filled[$container->id][$crop] = ($filled[$container->id][$crop] ?? 0.0) + $stage->sites;
                    }
                }
                if ($container !== null && ! $container->singleUse) {
                    $spans[$container->id][$crop][] = [$stage->start, $stage->end, (float) $stage->sites];
                }
                foreach ($stage->stage->trayware as $id) {
                    $traySpans[$id][$crop][] = [$stage->start, $stage->end, $stage->flats];
                    $trayDays[$id][$crop] = ($trayDays[$id][$crop] ?? 0.0) + $stage->flatDays();
                }
            }
            $this->singleUseCost[] = $single;
            $this->prep[] = $prep;
            $this->usedBy[] = [];
        }
        foreach ($spans as $id => $byCrop) {
            $container = $index->containers[$id];
            $this->durable[$id] = $this->durableUse($byCrop, $filled[$id] ?? [], $container->sitesPerUnit,
                $container->ownedUnits, $container->unitPrice(), $container->lifeSeasons);
        }
        foreach ($traySpans as $id => $byCrop) {
            $tray = $index->trayware[$id];
            $this->trayware[$id] = $this->durableUse($byCrop, $trayDays[$id], 1.0, $tray->ownedUnits, $tray->price, $tray->lifeSeasons);
        }
    }

    public function heads(int $crop): array
    {
        $containers = $this->singleUseCost[$crop];
        foreach ($this->usedBy[$crop] as $use) {
            $containers += $use->share($crop);
        }

        return [Head::Containers->value => $containers, Head::Prep->value => $this->prep[$crop]];
    }

    public function saved(int $crop): float
    {
        $saved = $this->singleUseCost[$crop] + $this->prep[$crop];
        foreach ($this->usedBy[$crop] as $use) {
            $saved += $use->saved($crop);
        }

        return $saved;
    }

    public function moved(int $crop, CropPlan $to): ?float
    {
        $from = $this->plans[$crop];
        if (array_column($from->stages, 'sites') !== array_column($to->stages, 'sites')) {
            return null;
        }
        $spans = $traySpans = [];
        foreach ($to->stages as $stage) {
            if ($stage->container !== null && ! $stage->container->singleUse) {
                $spans[$stage->container->id][] = [$stage->start, $stage->end, (float) $stage->sites];
            }
            foreach ($stage->stage->trayware as $id) {
                $traySpans[$id][] = [$stage->start, $stage->end, $stage->flats];
            }
        }
        $more = 0.0;
        foreach ([[$this->durable, $spans], [$this->trayware, $traySpans]] as [$uses, $of]) {
            foreach ($of as $id => $own) {
                $more += $uses[$id]->moved($crop, $own);
            }
        }

        return $more;
    }

    public function total(): float
    {
        $total = array_sum($this->singleUseCost) + array_sum($this->prep);
        foreach ([...array_values($this->durable), ...array_values($this->trayware)] as $use) {
            $total += $use->charge();
        }

        return $total;
    }

    /** The part of a crop's container cost that is used once. */
    public function singleUseCost(int $crop): float
    {
        return $this->singleUseCost[$crop];
    }

    /** Units of a container that have to be there, whole ones. */
    public function unitsNeeded(Container $container): int
    {
        return $container->singleUse
            ? Ceiling::roundUp($this->singleUse[$container->id] ?? 0.0)
            : ($this->durable[$container->id] ?? null)->unitsNeeded ?? 0;
    }

    /**
     * @param  array<int, non-empty-list<array{int, int, float}>>  $byCrop
     * @param  array<int, float>  $weights
     */
    private function durableUse(array $byCrop, array $weights, float $perUnit, int $owned, float $price, float $life): DurableUse
    {
        $season = $this->index->season;
        $use = new DurableUse(PeakUse::fromUses(array_merge(...array_values($byCrop))), $perUnit, $season->chargeOwned ? 0 : $owned,
            CapitalRecovery::share($price, $life, $season->discountRate), $byCrop, $weights);
        foreach (array_keys($byCrop) as $crop) {
            $this->usedBy[$crop][] = $use;
        }

        return $use;
    }
}
