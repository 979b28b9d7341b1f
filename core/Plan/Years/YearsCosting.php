<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Years;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * The same set-up, list and prices over several seasons: durable things replaced when their life is over, prices rising.
 * Costing rules, section 10.
 */
final readonly class YearsCosting
{
    public const MOST = 100;

    private SeasonCosting $costing;

    /**
     * @param  int  $seasons  1 to 100
     * @param  float  $priceRise  per season
     */
    public function __construct(
        private Season $season,
        private int $seasons,
        private float $priceRise = 0.0,
        ?SeasonCosting $costing = null,
    ) {
        $this->costing = $costing ?? new SeasonCosting($season);
    }

    /** @return array{setups: list<SetupYears>} as it is printed and sent */
    public function result(?string $setupId = null): array
    {
        $setups = array_values(array_filter($this->season->setups, fn (Setup $setup): bool => $setupId === null || $setup->id === $setupId));

        return ['setups' => array_map($this->setup(...), $setups)];
    }

    public function setup(Setup $setup): SetupYears
    {
        $books = $this->costing->books($setup);
        $result = $this->costing->setup($setup);
        $running = $this->running($books, $result);
        $durable = $this->durable($books);
        $years = [];
        [$cumulative, $till, $buying, $worth, $buyingWorth, $payback, $tillPayback] = [0.0, 0.0, 0.0, 0.0, 0.0, null, null];
        $comparesWithBuying = $result->buy_total !== null && $books->plans !== [];
        for ($y = 1; $y <= $this->seasons; $y++) {
            $rise = (1.0 + $this->priceRise) ** ($y - 1);
            $discount = (1.0 + $this->season->discountRate) ** -($y - 1);
            $spent = [$running * $rise, array_sum(array_map(fn (DurableThing $thing): float => $thing->boughtIn($y), $durable)) * $rise];
            $bought = ($result->buy_total ?? 0.0) * $rise;
            $cumulative += array_sum($spent);
            $till += $y === 1 ? self::paidAtFirst($result) : array_sum($spent);
            $buying += $bought;
            $worth += array_sum($spent) * $discount;
            $buyingWorth += $bought * $discount;
            $payback ??= $comparesWithBuying && $cumulative <= $buying ? $y : null;
            $tillPayback ??= $comparesWithBuying && $till <= $buying ? $y : null;
            $years[] = new YearLine($y, $spent[0], $spent[1], $cumulative, $till, $result->buy_total === null ? null : $buying);
        }

        return new SetupYears(
            $setup->id,
            self::comparable($result),
            $years,
            $payback,
            $tillPayback,
            $worth,
            $result->buy_total === null ? null : $buyingWorth,
        );
    }

    /** Money paid in the first season: whole packs, the meter, washing and what fills the list. */
    private static function paidAtFirst(SetupResult $result): float
    {
        return $result->cash_now + $result->electricity_bill + $result->heads[Head::HeatCredit->value] + $result->heads[Head::Prep->value]
            + $result->fill_cost - $result->cost;
    }

    private function running(SetupBooks $books, SetupResult $result): float
    {
        $running = $result->fill_cost - $result->cost;
        foreach (Head::cases() as $head) {
            $running += $head->isRunning() ? $result->heads[$head->value] : 0.0;
        }
        foreach (array_keys($books->plans) as $crop) {
            $running += $books->containers->singleUseCost($crop);
        }

        return $running;
    }

    /** @return list<DurableThing> */
    private function durable(SetupBooks $books): array
    {
        $things = [];
        foreach ($books->containers->durable as $id => $use) {
            $container = $books->index->containers[$id];
            $things[] = new DurableThing(
                $container->unitPrice(),
                $use->unitsNeeded,
                $container->ownedUnits,
                Ceiling::roundUp($container->lifeSeasons),
            );
        }
        foreach ($books->containers->trayware as $id => $use) {
            $tray = $books->index->trayware[$id];
            $things[] = new DurableThing($tray->price, $use->unitsNeeded, $tray->ownedUnits, Ceiling::roundUp($tray->lifeSeasons));
        }
        foreach ($books->equipment->items as $item) {
            $things[] = new DurableThing($item->price, 1, $item->owned ? 1 : 0, Ceiling::roundUp($item->lifeSeasons));
        }

        return $things;
    }

    /** Set-ups compare with buying only where nothing is missing and every grown crop could be bought. */
    private static function comparable(SetupResult $result): bool
    {
        foreach ($result->crops as $crop) {
            if ($crop->grown && $crop->buy_cost === null) {
                return false;
            }
        }

        return $result->isFair();
    }
}
