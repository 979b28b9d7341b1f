<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Units\Currency;

/** What a season costs, crop by crop and head by head; every row and every column adds up to the coin. */
final readonly class Ledger
{
    /**
     * @param  list<array{head: string, words: string}>  $heads  those under which something stands
     * @param  list<LedgerRow>  $rows  crops in the order of the season
     * @param  array<string, float>  $totals  money by head
     * @param  float  $cost  money in all
     * @param  float  $hours  of work
     * @param  float  $hours_worth  money for them
     * @param  float  $with_time  money, with the hours
     * @param  float  $income  money from what is sold
     * @param  float  $cash_now  money at the till
     * @param  float  $electricity_bill  money
     * @param  ?float  $per_finished  money for a finished seedling
     * @param  int  $places  decimals of the currency
     */
    private function __construct(
        public array $heads,
        public array $rows,
        public array $totals,
        public float $cost,
        public float $hours,
        public float $hours_worth,
        public float $with_time,
        public float $income,
        public float $cash_now,
        public float $electricity_bill,
        public ?float $per_finished,
        public int $places,
    ) {
    }

    public static function forSetup(SeasonCosting $costing, Setup $setup): self
    {
        $season = $costing->season;
        $result = $costing->setup($setup);
        $places = Currency::places($season->currency);
        $coins = 10 ** $places;
        $used = array_values(array_filter(Head::cases(), fn (Head $head): bool => abs($result->heads[$head->value]) > 0.0));
        $table = array_map(
            fn (CropResult $crop): array => array_map(fn (Head $head): float => ($crop->heads[$head->value] ?? 0.0) * $coins, $used),
            $result->crops,
        );
        [$cells, $sums, $columns, $all] = TwoWayRounding::controlled($table);
        $money = fn (int $amount): float => $amount / $coins;
        $rows = [];
        foreach ($result->crops as $n => $crop) {
            $rows[] = self::row($season, $crop, array_combine(array_column($used, 'value'), array_map($money, $cells[$n])), $money($sums[$n]));
        }
        $worth = round($result->hours * $season->hourlyValue, $places);

        return new self(
            heads: array_map(fn (Head $head): array => ['head' => $head->value, 'words' => $head->words()], $used),
            rows: $rows,
            totals: array_combine(array_column($used, 'value'), array_map($money, $columns)),
            cost: $money($all),
            hours: $result->hours,
            hours_worth: $worth,
            with_time: $money($all) + $worth,
            income: round($result->income, $places),
            cash_now: round($result->cash_now, $places),
            electricity_bill: round($result->electricity_bill, $places),
            per_finished: $result->per_finished,
            places: $places,
        );
    }

    /** @param  array<string, float>  $heads */
    private static function row(Season $season, CropResult $crop, array $heads, float $cost): LedgerRow
    {
        $rows = array_column($season->crops, null, 'id');
        $lots = array_column($season->seedLots, 'variety', 'id');
        $methods = array_column($season->methods, 'name', 'id');
        $bought = $crop->method === Setup::NURSERY;

        return new LedgerRow(
            crop: $crop->id,
            name: $lots[$rows[$crop->id]->lot],
            method: $bought ? null : $methods[$crop->method] ?? $crop->method,
            heads: $heads,
            cost: $cost,
            useful: $bought ? (float) $rows[$crop->id]->wanted : $crop->useful,
            per_finished: $crop->per_finished,
            hours: $crop->hours,
            income: $crop->income,
        );
    }
}
