<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

use Closure;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Leftover as Rule;
use JollyPenny\Core\Season\Things\ThingKind;

/**
 * What a season leaves behind: seed less what was sown, mix less what was filled, pots and trays less what is used once or cracked, lamps
 * and mats with one more season's work (docs/after.md). Bought is what was ticked off; where nothing was, what the plan buys.
 */
final readonly class Leftovers
{
    /**
     * @param  SetupBooks  $books  as they go on from what was sown (LivedSeason)
     * @param  list<Purchase>  $purchases
     * @param  array<string, int>  $cracked  pots and trays that broke, by kind and id
     * @return list<Leftover>
     */
    public static function fromBooks(SetupBooks $books, array $purchases, array $cracked = [], LogBook $log = new LogBook([])): array
    {
        $done = self::done($books, $log);
        [$seeds, $amounts] = self::used($books, $log, $done);
        $bought = self::bought($books, $purchases);
        $packs = fn (string $kind, string $id): int => $bought["{$kind} {$id}"] ?? 0;
        $known = fn (bool $isSown): string => $log->entries === [] || ! $isSown ? 'planned' : 'logged';
        $left = [
            ...self::seed($books->season(), $packs, $seeds, $known),
            ...self::supplies($books->season(), $packs, $amounts, $known),
            ...self::pots($books, $packs, $cracked, $done),
            ...self::equipment($books, $packs),
        ];

        return array_values(array_filter($left, fn (Leftover $one): bool => $one->before > 0.0 || $one->bought > 0.0));
    }

    /**
     * @param  list<Purchase>  $purchases
     * @return array<string, int> packs by kind and id; those of the plan where no purchase is written down
     */
    private static function bought(SetupBooks $books, array $purchases): array
    {
        $bought = [];
        foreach ($purchases as $one) {
            $bought["{$one->kind} {$one->thing}"] = ($bought["{$one->kind} {$one->thing}"] ?? 0) + $one->packs;
        }
        if ($purchases === []) {
            foreach (Shopping::fromBooks($books, [])->items as $item) {
                $bought["{$item->kind} {$item->id}"] = $item->packs;
            }
        }

        return $bought;
    }

    /**
     * @param  Closure(string, string): int  $packs  bought, by kind and id
     * @param  array<array-key, int>  $seeds  used, by lot
     * @param  Closure(bool): string  $known
     * @return list<Leftover>
     */
    private static function seed(Season $season, Closure $packs, array $seeds, Closure $known): array
    {
        $left = [];
        foreach ($season->seedLots as $lot) {
            $each = (float) ($lot->seedsPerPacket ?? 0);
            $used = (float) ($seeds[$lot->id] ?? 0);
            $left[] = self::line(
                kind: 'seed',
                id: $lot->id,
                name: $lot->variety,
                before: $lot->packetsOwned * $each,
                bought: $packs('seed', $lot->id) * $each,
                used: $used,
                unit: 'seeds',
                served: $used > 0.0,
                wasted: $lot->leftover === Rule::Waste,
                packedFor: $lot->packedFor,
                known: $known($used > 0.0),
            );
        }

        return $left;
    }

    /**
     * @param  Closure(string, string): int  $packs  bought, by kind and id
     * @param  array<array-key, float>  $amounts  used, by supply
     * @param  Closure(bool): string  $known
     * @return list<Leftover>
     */
    private static function supplies(Season $season, Closure $packs, array $amounts, Closure $known): array
    {
        $left = [];
        foreach ($season->supplies as $supply) {
            $used = $amounts[$supply->id] ?? 0.0;
            $left[] = self::line(
                kind: 'supply',
                id: $supply->id,
                name: $supply->name,
                before: $supply->inStock,
                bought: $packs('supply', $supply->id) * $supply->usablePerPack(),
                used: $used,
                unit: $supply->unit->value,
                served: $used > 0.0,
                wasted: $supply->leftover === Rule::Waste,
                packedFor: null,
                known: $known($used > 0.0),
            );
        }

        return $left;
    }

    /**
     * @param  Closure(string, string): int  $packs  bought, by kind and id
     * @param  array<string, int>  $cracked  by kind and id
     * @param  array<array-key, true>  $done
     * @return list<Leftover>
     */
    private static function pots(SetupBooks $books, Closure $packs, array $cracked, array $done): array
    {
        $left = [];
        foreach ($books->season()->containers as $pot) {
            $needed = $books->containers->unitsNeeded($pot);
            $broken = (float) ($cracked["container {$pot->id}"] ?? 0);
            $left[] = self::line('container', $pot->id, $pot->name, $pot->ownedUnits, $packs('container', $pot->id) * $pot->unitsPerPack,
                $pot->singleUse ? ($done === [] ? 0 : $needed) : $broken, 'each', $needed > 0 && $done !== []);
        }
        foreach ($books->season()->trayware as $tray) {
            $left[] = self::line('trayware', $tray->id, $tray->name, $tray->ownedUnits, $packs('trayware', $tray->id),
                (float) ($cracked["trayware {$tray->id}"] ?? 0), 'each', ($books->containers->trayware[$tray->id]->unitsNeeded ?? 0) > 0);
        }

        return $left;
    }

    /**
     * @param  Closure(string, string): int  $packs  bought, by kind and id
     * @return list<Leftover>
     */
    private static function equipment(SetupBooks $books, Closure $packs): array
    {
        $left = [];
        foreach (ThingKind::equipment() as $kind) {
            foreach ($kind->equipmentOf($books->season()) as $row) {
                $left[] = self::line($kind->value, $row->id, $row->name, $row->owned ? 1.0 : 0.0, min(1, $packs($kind->value, $row->id)), 0.0, 'each',
                    in_array($row->id, $kind->usedIn($books->setup), true));
            }
        }

        return $left;
    }

    /**
     * Crops that were sown, by the log; where nothing is written down at all, or once the season is over, also those of the plan.
     *
     * @return array<array-key, true>
     */
    private static function done(SetupBooks $books, LogBook $log): array
    {
        $done = [];
        foreach ($books->plans as $plan) {
            if ($log->entries === [] || $log->isOver() || $log->crop($plan->crop->id)->sown_on !== null) {
                $done[$plan->crop->id] = true;
            }
        }

        return $done;
    }

    /**
     * @param  array<array-key, true>  $done
     * @return array{array<array-key, int>, array<array-key, float>} seeds by lot and amounts by supply
     */
    private static function used(SetupBooks $books, LogBook $log, array $done): array
    {
        $seeds = $amounts = [];
        foreach ($books->plans as $i => $plan) {
            if (! isset($done[$plan->crop->id])) {
                continue;
            }
            $facts = $log->crop($plan->crop->id);
            $sown = match (true) {
                $facts->seeds > 0 => $facts->seeds,
                $facts->sown_on !== null => $facts->sites * $plan->method->seedsPerSite,
                default => $plan->sowing->seeds,
            };
            $seeds[$plan->lot->id] = ($seeds[$plan->lot->id] ?? 0) + $sown;
            foreach ($books->supplies->uses[$i]->amounts as $supply => $heads) {
                $amounts[$supply] = ($amounts[$supply] ?? 0.0) + array_sum($heads);
            }
        }

        return [$seeds, $amounts];
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
        string $known = 'planned',
    ): Leftover {
        $rest = max(0.0, $before + $bought - $used);

        return new Leftover(
            kind: $kind,
            id: $id,
            name: $name,
            before: $before,
            bought: $bought,
            used: min($used, $before + $bought),
            left: $wasted && $used > 0.0 ? 0.0 : $rest,
            unit: $unit,
            served: $served,
            packed_for: $packedFor,
            known: $known,
        );
    }
}
