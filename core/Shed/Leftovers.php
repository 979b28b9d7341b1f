<?php

declare(strict_types=1);

namespace JollyPenny\Core\Shed;

use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Season\Leftover as Rule;
use JollyPenny\Core\Shopping\Purchase;
use JollyPenny\Core\Shopping\Shopping;

/**
 * What a season leaves behind, by its plan: seed and mix less what is used, pots and trays less what is used once or cracked, lamps and
 * mats with one more season's work. Bought is what was ticked off; where nothing was, what the plan buys.
 */
final readonly class Leftovers
{
    /**
     * @param  list<Purchase>  $purchases
     * @param  array<string, int>  $cracked  pots and trays that broke, by kind and id
     * @return list<Leftover>
     */
    public static function of(SetupBooks $books, array $purchases, array $cracked = []): array
    {
        $season = $books->season();
        $bought = [];
        foreach ($purchases as $one) {
            $bought["{$one->kind} {$one->thing}"] = ($bought["{$one->kind} {$one->thing}"] ?? 0) + $one->packs;
        }
        if ($purchases === []) {
            foreach (Shopping::of($books, [])->items as $item) {
                $bought["{$item->kind} {$item->id}"] = $item->packs;
            }
        }
        $packs = fn (string $kind, string $id): int => $bought["{$kind} {$id}"] ?? 0;
        $left = [];
        foreach ($season->seedLots as $lot) {
            $each = (float) ($lot->seedsPerPacket ?? 0);
            $need = $books->seed->pools[$lot->id]->need ?? 0.0;
            $left[] = self::line('seed', $lot->id, $lot->variety, $lot->packetsOwned * $each, $packs('seed', $lot->id) * $each, $need, 'seeds', $need > 0.0,
                $lot->leftover === Rule::Waste, $lot->packedFor);
        }
        foreach ($season->supplies as $supply) {
            $need = $books->supplies->pools[$supply->id]->need ?? 0.0;
            $left[] = self::line('supply', $supply->id, $supply->name, $supply->inStock, $packs('supply', $supply->id) * $supply->usablePerPack(), $need,
                $supply->unit->value, $need > 0.0, $supply->leftover === Rule::Waste);
        }
        foreach ($season->containers as $pot) {
            $needed = $books->containers->unitsNeeded($pot);
            $broken = (float) ($cracked["container {$pot->id}"] ?? 0);
            $left[] = self::line('container', $pot->id, $pot->name, $pot->ownedUnits, $packs('container', $pot->id) * $pot->unitsPerPack,
                $pot->singleUse ? $needed : $broken, 'each', $needed > 0);
        }
        foreach ($season->trayware as $tray) {
            $left[] = self::line('trayware', $tray->id, $tray->name, $tray->ownedUnits, $packs('trayware', $tray->id),
                (float) ($cracked["trayware {$tray->id}"] ?? 0), 'each', ($books->containers->trayware[$tray->id]->unitsNeeded ?? 0) > 0);
        }
        $named = ['light' => [$season->lights, $books->setup->lights], 'mat' => [$season->mats, $books->setup->mats],
            'appliance' => [$season->appliances, $books->setup->appliances], 'gear' => [$season->gear, $books->setup->gear]];
        foreach ($named as $kind => [$rows, $used]) {
            foreach ($rows as $row) {
                $left[] = self::line($kind, $row->id, $row->name, $row->owned ? 1.0 : 0.0, min(1, $packs($kind, $row->id)), 0.0, 'each', in_array($row->id, $used, true));
            }
        }

        return array_values(array_filter($left, fn (Leftover $one): bool => $one->before > 0.0 || $one->bought > 0.0));
    }

    private static function line(
        string $kind,
        string $id,
        string $name,
        float $before,
        float $bought,
        float $used,
        string $unit,
        bool $served,
        bool $wasted = false,
        ?int $packedFor = null,
    ): Leftover {
        $rest = max(0.0, $before + $bought - $used);

        return new Leftover($kind, $id, $name, $before, $bought, min($used, $before + $bought), $wasted && $used > 0.0 ? 0.0 : $rest, $unit, $served, $packedFor);
    }
}
