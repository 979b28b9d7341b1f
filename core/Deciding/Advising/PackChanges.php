<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Generator;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Drafting\PacketSize;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Supply;
use JollyPenny\Core\Season\Units\Ceiling;

/** Other sizes of packets and bags, as shops sell them, that come to less for what the season needs. Only where the price is still the catalogue's. */
final readonly class PackChanges
{
    private Season $season;

    private SeasonDraft $draft;

    public function __construct(private SetupBooks $books)
    {
        $this->season = $books->season();
        $this->draft = new SeasonDraft((new SeasonWriter)->document($this->season));
    }

    /** @return Generator<Change> */
    public function all(): Generator
    {
        $seeds = [];
        foreach ($this->books->plans as $plan) {
            $seeds[$plan->lot->id] = ($seeds[$plan->lot->id] ?? 0) + $plan->sowing->seeds;
        }
        foreach ($seeds as $id => $need) {
            yield from $this->packet($this->books->index->lots[$id], $need);
        }
        foreach ($this->books->supplies->pools as $id => $pool) {
            yield from $this->pack($this->books->index->supplies[$id], $pool->need);
        }
    }

    /** @return Generator<Change> */
    private function packet(SeedLot $lot, int $need): Generator
    {
        $species = $this->books->index->species[$lot->species];
        $facts = $this->draft->catalogue->recognise(SeasonDraft::kinIn($species->meta), $species->name);
        if ($facts === null || $lot->seedsPerPacket === null || $lot->packetsOwned > 0.0 || SeasonDraft::markIn($lot->meta) === null) {
            return;
        }
        $now = Ceiling::roundUp($need / $lot->seedsPerPacket);
        foreach (PacketSize::forSpecies($facts) as $size) {
            ['packet_price' => $price, 'seeds_per_packet' => $holds] = $this->draft->packet($size);
            if ($holds !== $lot->seedsPerPacket && Ceiling::roundUp($need / $holds) * $price < $now * $lot->packetPrice) {
                $instead = $now > 1 ? "{$now} packets of {$lot->seedsPerPacket}" : "one of {$lot->seedsPerPacket}";
                yield new Change('packet', null, "Buy {$lot->variety} in a packet of {$holds} instead of {$instead}", [
                    ['path' => ['seed_lots', $lot->id, 'packet_price'], 'to' => $price],
                    ['path' => ['seed_lots', $lot->id, 'seeds_per_packet'], 'to' => $holds],
                ]);
            }
        }
    }

    /** @return Generator<Change> */
    private function pack(Supply $supply, float $need): Generator
    {
        $mark = SeasonDraft::markIn($supply->meta);
        $missing = $need - $supply->inStock;
        if ($mark === null || $missing <= 0.0) {
            return;
        }
        $now = Ceiling::roundUp($missing / $supply->usablePerPack()) * $supply->packPrice;
        foreach ($this->draft->catalogue->packsBeside($mark) as $id) {
            $other = $this->draft->catalogueRow('supplies', $id);
            [$price, $amount, $expansion] = array_map(fn (string $key): float => (float) Cell::text($other[$key] ?? 1), ['pack_price', 'pack_amount', 'expansion']);
            if (Ceiling::roundUp($missing / ($amount * $expansion)) * $price < $now) {
                yield new Change('pack', null, 'Buy '.Cell::text($other['name'])." instead of {$supply->name}", array_map(
                    fn (string $key): array => ['path' => ['supplies', $supply->id, $key], 'to' => $other[$key]],
                    ['name', 'pack_price', 'pack_amount', 'expansion'],
                ));
            }
        }
    }
}
