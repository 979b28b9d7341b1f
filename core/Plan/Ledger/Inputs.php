<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/**
 * Every price that a set-up's cost hangs on, each with the season in which it is one coin dearer; seed and the nursery, of which each
 * crop has its own, apart.
 */
final readonly class Inputs
{
    /** @return iterable<array{LedgerInput, Season}> */
    public static function forSetup(Season $season, Setup $setup, SetupBooks $books): iterable
    {
        yield from self::consumed($season, $books);
        yield from self::durable($season, $books);
        yield from self::powered($season, $setup);
        $power = $season->electricity;
        yield [new LedgerInput(['electricity', 'rate'], 'Electricity', 'A kWh', $power->rate),
            $season->with(electricity: $power->with(rate: $power->rate + 1.0))];
        foreach ($power->windows as $n => $window) {
            $windows = $power->windows;
            $windows[$n] = $window->with(rate: $window->rate + 1.0);
            yield [new LedgerInput(['electricity', 'windows', $n, 'rate'], 'Electricity', "A kWh from {$window->from->format()} to {$window->to->format()}", $window->rate),
                $season->with(electricity: $power->with(windows: $windows))];
        }
        if ($power->heatCredit !== null) {
            $credit = $power->heatCredit;
            yield [new LedgerInput(['electricity', 'heat_credit', 'price_per_kwh'], 'Electricity', 'A kWh of heating', $credit->pricePerKwh),
                $season->with(electricity: $power->with(heatCredit: $credit->with(pricePerKwh: $credit->pricePerKwh + 1.0)))];
        }
        if ($season->nurseryTripCost > 0.0) {
            yield [new LedgerInput(['nursery_trip_cost'], 'Nursery', 'The trip', $season->nurseryTripCost),
                $season->with(nurseryTripCost: $season->nurseryTripCost + 1.0)];
        }
    }

    /** @return array<string, LedgerInput> by lot */
    public static function seed(Season $season, SetupBooks $books): array
    {
        $inputs = [];
        foreach ($season->seedLots as $lot) {
            if ($lot->seedsPerPacket === null || ! isset($books->seed->pools[$lot->id])) {
                continue;
            }
            $years = max(1.0, $books->index->species[$lot->species]->longevityYears);
            $inputs[$lot->id] = new LedgerInput(['seed_lots', $lot->id, 'packet_price'], 'Seed', $lot->variety, $lot->packetPrice,
                'seeds_per_packet', (float) $lot->seedsPerPacket, 1.0, 'seeds', need: $books->seed->pools[$lot->id]->need,
                stock: $lot->packetsOwned, stockInPacks: true, least: 1.0 / $years, leftover: $lot->leftover);
        }

        return $inputs;
    }

    /** @return array<string, LedgerInput> by offer */
    public static function nursery(Season $season): array
    {
        $inputs = [];
        foreach ($season->nursery as $offer) {
            $inputs[$offer->id] = new LedgerInput(['nursery', $offer->id, 'price'], 'Nursery', $offer->name, $offer->price);
        }

        return $inputs;
    }

    /** @return iterable<array{LedgerInput, Season}> */
    private static function consumed(Season $season, SetupBooks $books): iterable
    {
        foreach ($season->supplies as $n => $supply) {
            if (! isset($books->supplies->pools[$supply->id])) {
                continue;
            }
            yield [
                new LedgerInput(['supplies', $supply->id, 'pack_price'], 'Mix, feed and labels', $supply->name, $supply->packPrice, 'pack_amount',
                    $supply->packAmount, $supply->expansion, $supply->unit->value, need: $books->supplies->pools[$supply->id]->need,
                    stock: $supply->inStock, leftover: $supply->leftover),
                $season->with(supplies: self::put($season->supplies, $n, $supply->with(packPrice: $supply->packPrice + 1.0))),
            ];
        }
    }

    /** @return iterable<array{LedgerInput, Season}> pots and trays */
    private static function durable(Season $season, SetupBooks $books): iterable
    {
        $used = [];
        foreach ($books->plans as $plan) {
            foreach ($plan->stages as $stage) {
                $used[$stage->container->id ?? ''] = true;
            }
        }
        foreach ($season->containers as $n => $pot) {
            if (! isset($used[$pot->id])) {
                continue;
            }
            yield [
                new LedgerInput(['containers', $pot->id, 'pack_price'], 'Pots', $pot->name, $pot->packPrice,
                    lifeKey: $pot->singleUse ? null : 'life_seasons', life: $pot->singleUse ? null : $pot->lifeSeasons),
                $season->with(containers: self::put($season->containers, $n, $pot->with(packPrice: $pot->packPrice + 1.0))),
            ];
            yield [
                new LedgerInput(['containers', $pot->id, 'prep_cost_per_unit'], 'Washing', $pot->name, $pot->prepCostPerUnit),
                $season->with(containers: self::put($season->containers, $n, $pot->with(prepCostPerUnit: $pot->prepCostPerUnit + 1.0))),
            ];
        }
        foreach ($season->trayware as $n => $tray) {
            yield [
                new LedgerInput(['trayware', $tray->id, 'price'], 'Trays and covers', $tray->name, $tray->price, lifeKey: 'life_seasons', life: $tray->lifeSeasons),
                $season->with(trayware: self::put($season->trayware, $n, $tray->with(price: $tray->price + 1.0))),
            ];
        }
    }

    /** @return iterable<array{LedgerInput, Season}> lamps, mats and gear of the set-up */
    private static function powered(Season $season, Setup $setup): iterable
    {
        foreach (['lights' => 'Lamps', 'mats' => 'Mats', 'appliances' => 'Fans and the like', 'gear' => 'Shelves and tools'] as $list => $group) {
            foreach ($season->{$list} as $n => $row) {
                if ($list === 'gear' || in_array($row->id, $setup->{$list}, true)) {
                    yield [
                        new LedgerInput([$list, $row->id, 'price'], $group, $row->name, $row->price, lifeKey: 'life_seasons', life: $row->lifeSeasons),
                        $season->with(...[$list => self::put($season->{$list}, $n, $row->with(price: $row->price + 1.0))]),
                    ];
                }
            }
        }
    }

    /**
     * @template T
     *
     * @param  list<T>  $rows
     * @param  T  $row
     * @return list<T>
     */
    private static function put(array $rows, int $n, mixed $row): array
    {
        $rows[$n] = $row;

        return array_values($rows);
    }
}
