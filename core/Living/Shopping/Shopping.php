<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shopping;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\ShoppingLine;
use JollyPenny\Core\Plan\Results\ShoppingList;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\ThingKind;

/**
 * The list for the shops, for one set-up: whole packs, when each is needed, what was bought of it and what that leaves to pay. What the
 * plan comes to at the till as things stand is what was paid and what is still to pay; the difference to the plan is said.
 */
final readonly class Shopping
{
    /** Seed comes by post: ordered so many days before it is sown. Common practice, no source. */
    private const SEED_DAYS = 14;

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

    /**
     * @param  SetupBooks  $books  as they go on from what was sown
     * @param  list<Purchase>  $purchases
     * @param  ?SetupBooks  $plan  as planned, where that is something else
     */
    public static function fromBooks(SetupBooks $books, array $purchases, ?SetupBooks $plan = null): self
    {
        $first = new FirstDays($books);
        $bought = [];
        foreach ($purchases as $purchase) {
            $bought["{$purchase->kind} {$purchase->thing}"][] = $purchase;
        }
        $items = [];
        foreach (ShoppingList::fromBooks($books) as $line) {
            $key = "{$line->kind} {$line->id}";
            $items[] = self::item($line, $bought[$key] ?? [], $first, $books);
            unset($bought[$key]);
        }
        usort($items, fn (ShoppingItem $a, ShoppingItem $b): int => ($a->order_by ?? '9') <=> ($b->order_by ?? '9'));
        $unneeded = array_merge([], ...array_values($bought));
        $sum = fn (string $key): float => (float) array_sum(array_column($items, $key));
        $paid = $sum('paid') + array_sum(array_column($unneeded, 'paid'));
        $still = $sum('still');
        $planned = $plan === null ? $sum('planned')
            : (float) array_sum(array_map(fn (ShoppingLine $line): float => $line->cost, ShoppingList::fromBooks($plan)));

        return new self($items, $unneeded, $planned, $paid, $still, $paid + $still, $paid + $still - $planned);
    }

    /** @param  list<Purchase>  $bought */
    private static function item(ShoppingLine $line, array $bought, FirstDays $first, SetupBooks $books): ShoppingItem
    {
        $packs = (int) array_sum(array_column($bought, 'packs'));
        $left = max(0, $line->packs - $packs);
        $price = $line->cost / $line->packs;
        $day = $first->day($line->kind, $line->id);
        [$name, $need, $stock, $holds, $unit] = self::facts($line, $books);

        return new ShoppingItem(
            kind: $line->kind,
            id: $line->id,
            name: $name,
            where: ThingKind::from($line->kind)->shop(),
            need: $need,
            in_stock: $stock,
            holds: $holds,
            unit: $unit,
            packs: $line->packs,
            price: $price,
            planned: $line->cost,
            bought: $packs,
            paid: (float) array_sum(array_column($bought, 'paid')),
            left: $left,
            still: $left * $price,
            beyond: max(0, $packs - $line->packs),
            order_by: $day === null ? null : Day::ofNumber($day - ($line->kind === 'seed' ? self::SEED_DAYS : 0))->format(),
            needed_on: $day === null ? null : Day::ofNumber($day)->format(),
            crops: $first->crops($line->kind, $line->id),
        );
    }

    /** @return array{string, ?float, ?float, ?float, string} name, needed, in stock, in a pack, unit */
    private static function facts(ShoppingLine $line, SetupBooks $books): array
    {
        $id = $line->id;
        $kind = ThingKind::from($line->kind);
        $name = $kind->nameOf($books->season(), $id) ?? $id;
        $index = $books->index;
        switch ($kind) {
            case ThingKind::Seed:
                $lot = $index->lots[$id];

                $need = $books->seed->pools[$id]->need ?? null;

                return [$name, $need, $lot->packetsOwned * ($lot->seedsPerPacket ?? 0), (float) $lot->seedsPerPacket, $kind->unit()];
            case ThingKind::Supply:
                $supply = $index->supplies[$id];

                return [$name, $books->supplies->pools[$id]->need ?? null, $supply->inStock, $supply->usablePerPack(), $supply->unit->value];
            case ThingKind::Container:
                $pot = $index->containers[$id];

                return [$name, (float) $books->containers->unitsNeeded($pot), (float) $pot->ownedUnits, (float) $pot->unitsPerPack, $kind->unit()];
            case ThingKind::Trayware:
                $needed = (float) ($books->containers->trayware[$id]->unitsNeeded ?? 0);

                return [$name, $needed, (float) $index->trayware[$id]->ownedUnits, 1.0, $kind->unit()];
            case ThingKind::Nursery:
                return [$name, null, null, (float) $index->offers[$id]->plants, $kind->unit()];
            default:
                return [$name, null, null, null, $kind->unit()];
        }
    }
}
