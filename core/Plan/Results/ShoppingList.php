<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Season\Units\Ceiling;

/** What must be bought now, in whole packs, less what is there. Costing rules, section 8, cash now. */
final readonly class ShoppingList
{
    /** @return list<ShoppingLine> by kind, then in the order of the file */
    public static function fromBooks(SetupBooks $books): array
    {
        $season = $books->season();
        $lines = [];
        $add = function (string $kind, string $id, int $packs, float $price) use (&$lines): void {
            if ($packs > 0) {
                $lines[] = new ShoppingLine($kind, $id, $packs, $packs * $price);
            }
        };
        foreach ($season->seedLots as $lot) {
            $pool = $books->seed->pools[$lot->id] ?? null;
            $add('seed', $lot->id, $pool?->packs($pool->need) ?? 0, $lot->packetPrice);
        }
        foreach ($season->supplies as $supply) {
            $pool = $books->supplies->pools[$supply->id] ?? null;
            $add('supply', $supply->id, $pool?->packs($pool->need) ?? 0, $supply->packPrice);
        }
        foreach ($season->containers as $container) {
            $missing = $books->containers->unitsNeeded($container) - $container->ownedUnits;
            $add('container', $container->id, Ceiling::roundUp($missing / $container->unitsPerPack), $container->packPrice);
        }
        foreach ($season->trayware as $tray) {
            $add(
                'trayware',
                $tray->id,
                (($books->containers->trayware[$tray->id] ?? null)->unitsNeeded ?? 0) - $tray->ownedUnits,
                $tray->price,
            );
        }
        self::equipment($books, $add);
        $packs = [];
        foreach ($books->bought as $crop) {
            foreach ($books->nursery->basket($crop)->packs ?? [] as $offer => $count) {
                $packs[$offer] = ($packs[$offer] ?? 0) + $count;
            }
        }
        foreach ($season->nursery as $offer) {
            $add('nursery', $offer->id, $packs[$offer->id] ?? 0, $offer->price);
        }
        if ($season->nurseryTripCost > 0.0) {
            $add('trip', 'trip', $books->bought === [] ? 0 : 1, $season->nurseryTripCost);
        }

        return $lines;
    }

    /** @param  callable(string, string, int, float): void  $add */
    private static function equipment(SetupBooks $books, callable $add): void
    {
        $season = $books->season();
        foreach (ThingKind::equipment() as $kind) {
            $wanted = [];
            foreach ($books->equipment->items as $item) {
                if ($item->kind === $kind->value && ! $item->owned) {
                    $wanted[$item->id] = true;
                }
            }
            foreach ($kind->equipmentOf($season) as $row) {
                $add($kind->value, $row->id, isset($wanted[$row->id]) ? 1 : 0, $row->price);
            }
        }
    }
}
