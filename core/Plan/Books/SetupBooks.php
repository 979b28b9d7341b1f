<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Planning\CropPlanner;
use JollyPenny\Core\Plan\Planning\Together;
use JollyPenny\Core\Plan\Planning\Warning;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;

/** Everything a set-up's figures are read from: what is grown how, what is bought, what fails, and the books of it. */
final class SetupBooks
{
    /** @var list<CropPlan> the crops that are grown, in the file's order */
    public array $plans = [];

    /** @var array<array-key, int> place in `plans`, by crop id */
    public array $grown = [];

    /** @var array<array-key, Warning> why a crop cannot be raised, by crop id */
    public array $failed = [];

    /** @var array<array-key, Crop> crops the set-up buys and somebody sells, by id */
    public array $bought = [];

    public readonly int $plantsBought;

    public readonly Together $together;

    public readonly SeedBook $seed;

    public readonly SupplyBook $supplies;

    public readonly ContainerBook $containers;

    private readonly EnergyOnceAsked $energy;

    /** @var ?list<int> once somebody asks */
    private ?array $onOffer = null;

    private ?float $tripForShortfall = null;

    public readonly EquipmentBook $equipment;

    public function __construct(
        public readonly SeasonIndex $index,
        public readonly Setup $setup,
        private readonly CropPlanner $planner,
        public readonly NurseryBook $nursery,
        SupplyUses $uses,
    ) {
        foreach ($index->season->crops as $crop) {
            $this->place($crop);
        }
        $this->plantsBought = array_sum(array_column($this->bought, 'wanted'));
        $this->together = new Together($this->plans, $index->season->mishap, $planner->sower->known);
        $this->seed = new SeedBook($this->plans, $index);
        $this->supplies = new SupplyBook($this->plans, $index, $uses);
        $this->containers = new ContainerBook($this->plans, $index);
        $this->energy = new EnergyOnceAsked($this->plans, $this->supplies->uses, $index, $setup);
        $this->equipment = new EquipmentBook($this->plans, $index, $setup, $this->energy);
    }

    public function energy(): EnergyBook
    {
        return $this->energy->book();
    }

    public function season(): Season
    {
        return $this->index->season;
    }

    /** @return array{SeedBook, SupplyBook, ContainerBook, EnergyBook, EquipmentBook} */
    public function all(): array
    {
        return [$this->seed, $this->supplies, $this->containers, $this->energy(), $this->equipment];
    }

    /** A bought crop's part of the trip to the nursery. */
    public function tripShare(Crop $crop): float
    {
        return $this->season()->nurseryTripCost * $crop->wanted / $this->plantsBought;
    }

    /** Money for the trip after plants that fail, on average; none of its own where the set-up goes to the nursery anyway. */
    public function tripForShortfall(): float
    {
        return $this->tripForShortfall ??= $this->trip($this->together);
    }

    private function trip(Together $together): float
    {
        $trip = $this->season()->nurseryTripCost;

        return $this->bought !== [] || $trip <= 0.0 ? 0.0 : $trip * (1.0 - $together->allEnough($this->onOffer()));
    }

    /** How the set-up would raise a crop that is grown, were it another way; or why it cannot be raised so. */
    public function planOtherwise(Crop $crop): CropPlan|Warning
    {
        $method = $this->plans[$this->grown[$crop->id]]->method;
        $place = $method->stages[0]->place;

        return $this->planner->planOtherwise($crop, $method, $this->firstLight($place), $this->firstMat($place));
    }

    /** Money more to fill the list, were a crop raised by another plan of the same method; null where only all of it worked out anew can tell. */
    public function moved(int $crop, CropPlan $to): ?float
    {
        $plans = $this->plans;
        $plans[$crop] = $to;
        $together = new Together(array_values($plans), $this->season()->mishap);
        $more = $this->trip($together) - $this->tripForShortfall() + ($this->nursery->shortfall($to) ?? 0.0)
            - ($this->nursery->shortfall($this->plans[$crop]) ?? 0.0);
        foreach ($this->all() as $book) {
            $moved = $book->moved($crop, $to);
            if ($moved === null) {
                return null;
            }
            $more += $moved;
        }

        return $more;
    }

    /** @return list<int> places in `plans` of grown crops that somebody sells */
    public function onOffer(): array
    {
        return $this->onOffer ??= array_keys(array_filter($this->plans, fn (CropPlan $plan): bool => $this->index->isSold($plan->crop)));
    }

    private function place(Crop $crop): void
    {
        $method = $this->setup->methodFor($crop->id);
        if ($method === Setup::NURSERY) {
            if ($this->index->isSold($crop)) {
                $this->bought[$crop->id] = $crop;
            }

            return;
        }
        $place = $this->index->methods[$method]->stages[0]->place;
        $plan = $this->planner->plan($crop, $this->index->methods[$method], $this->firstLight($place), $this->firstMat($place));
        if ($plan instanceof Warning) {
            $this->failed[$crop->id] = $plan;

            return;
        }
        $this->grown[$crop->id] = count($this->plans);
        $this->plans[] = $plan;
    }

    /** The set-up's first lamp at a place. */
    public function firstLight(string $place): ?Light
    {
        foreach ($this->setup->lights as $id) {
            if ($this->index->lights[$id]->place === $place) {
                return $this->index->lights[$id];
            }
        }

        return null;
    }

    /** The set-up's first mat at a place. */
    public function firstMat(string $place): ?Mat
    {
        foreach ($this->setup->mats as $id) {
            if ($this->index->mats[$id]->place === $place) {
                return $this->index->mats[$id];
            }
        }

        return null;
    }
}
