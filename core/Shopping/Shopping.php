<?php

declare(strict_types=1);

namespace JollyPenny\Core\Shopping;

use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Results\ShoppingLine;
use JollyPenny\Core\Results\ShoppingList;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;

/**
 * The list for the shops, for one set-up: whole packs, when each is needed, what was bought of it and what that leaves to pay. What the
 * plan comes to at the till as things stand is what was paid and what is still to pay; the difference to the plan is said.
 */
final readonly class Shopping
{
    /** Seed comes by post: ordered so many days before it is sown. Common practice, no source. */
    private const SEED_DAYS = 14;

    private const WHERE = [
        'seed' => 'seed', 'supply' => 'garden', 'container' => 'garden', 'trayware' => 'garden', 'gear' => 'hardware',
        'light' => 'hardware', 'mat' => 'hardware', 'appliance' => 'hardware', 'nursery' => 'nursery', 'trip' => 'nursery',
    ];

    private const LISTS = [
        'seed' => 'seedLots', 'supply' => 'supplies', 'container' => 'containers', 'trayware' => 'trayware', 'light' => 'lights',
        'mat' => 'mats', 'appliance' => 'appliances', 'gear' => 'gear', 'nursery' => 'nursery',
    ];

    /**
     * @param  list<ShoppingItem>  $items  what the plan needs, by the day it is needed
     * @param  list<Purchase>  $unneeded  bought, and not needed by the plan
     * @param  float  $planned  money at the till by the plan
     * @param  float  $paid  money so far, also for what was not needed
     * @param  float  $still  money to pay
     * @param  float  $now  what was paid and is still to pay
     * @param  float  $over  money by which that is more than planned
     */
    private function __construct(
        public array $items,
        public array $unneeded,
        public float $planned,
        public float $paid,
        public float $still,
        public float $now,
        public float $over,
    ) {
    }

    /** @param  list<Purchase>  $purchases */
    public static function of(SetupBooks $books, array $purchases): self
    {
        $first = new FirstDays($books);
        $bought = [];
        foreach ($purchases as $purchase) {
            $bought["{$purchase->kind} {$purchase->thing}"][] = $purchase;
        }
        $items = [];
        foreach (ShoppingList::of($books) as $line) {
            $key = "{$line->kind} {$line->id}";
            $items[] = self::item($line, $bought[$key] ?? [], $first, $books);
            unset($bought[$key]);
        }
        usort($items, fn (ShoppingItem $a, ShoppingItem $b): int => ($a->order_by ?? '9') <=> ($b->order_by ?? '9'));
        $unneeded = array_merge([], ...array_values($bought));
        $sum = fn (string $key): float => (float) array_sum(array_column($items, $key));
        $paid = $sum('paid') + array_sum(array_column($unneeded, 'paid'));
        $still = $sum('still');
        $planned = $sum('planned');

        return new self($items, $unneeded, $planned, $paid, $still, $paid + $still, $paid + $still - $planned);
    }

    /** @param  list<Purchase>  $bought */
    private static function item(ShoppingLine $line, array $bought, FirstDays $first, SetupBooks $books): ShoppingItem
    {
        $packs = (int) array_sum(array_column($bought, 'packs'));
        $left = max(0, $line->packs - $packs);
        $price = $line->cost / $line->packs;
        $day = $first->day($line->kind, $line->id);
        [$need, $stock, $holds, $unit] = self::amounts($line, $books);

        return new ShoppingItem(
            $line->kind,
            $line->id,
            self::name($books->season(), $line->kind, $line->id),
            self::WHERE[$line->kind],
            $need,
            $stock,
            $holds,
            $unit,
            $line->packs,
            $price,
            $line->cost,
            $packs,
            (float) array_sum(array_column($bought, 'paid')),
            $left,
            $left * $price,
            max(0, $packs - $line->packs),
            $day === null ? null : Day::ofNumber($day - ($line->kind === 'seed' ? self::SEED_DAYS : 0))->format(),
            $day === null ? null : Day::ofNumber($day)->format(),
            $first->crops($line->kind, $line->id),
        );
    }

    private static function name(Season $season, string $kind, string $id): string
    {
        $row = isset(self::LISTS[$kind]) ? array_column($season->{self::LISTS[$kind]}, null, 'id')[$id] ?? null : null;

        return $row === null ? 'The trip to the nursery' : ($kind === 'seed' ? $row->variety : $row->name);
    }

    /** @return array{?float, ?float, ?float, string} needed, in stock, in a pack, unit */
    private static function amounts(ShoppingLine $line, SetupBooks $books): array
    {
        $season = $books->season();
        $row = isset(self::LISTS[$line->kind]) ? array_column($season->{self::LISTS[$line->kind]}, null, 'id')[$line->id] ?? null : null;

        return match ($line->kind) {
            'seed' => [$books->seed->pools[$line->id]->need ?? null, $row->packetsOwned * ($row->seedsPerPacket ?? 0), (float) $row->seedsPerPacket, 'seeds'],
            'supply' => [$books->supplies->pools[$line->id]->need ?? null, $row->inStock, $row->usablePerPack(), $row->unit->value],
            'container' => [(float) $books->containers->unitsNeeded($row), (float) $row->ownedUnits, (float) $row->unitsPerPack, 'each'],
            'trayware' => [(float) ($books->containers->trayware[$line->id]->unitsNeeded ?? 0), (float) $row->ownedUnits, 1.0, 'each'],
            'nursery' => [null, null, (float) $row->plants, 'plants'],
            default => [null, null, null, 'each'],
        };
    }
}
