<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\Penny;
use stdClass;

/** Packets that were bought together at one price: each bears its share, to the coin. */
final readonly class Kit
{
    /**
     * @param  list<string>  $lots  ids; one's own seed costs nothing, and is left out
     * @param  float  $price  money for all of them
     * @return list<array{path: array{string, string, string}, to: float}> edits
     */
    public static function edits(stdClass $document, array $lots, float $price): array
    {
        $packets = [];
        foreach (Cell::rows($document->seed_lots ?? null) as $row) {
            if (in_array($row->id, $lots, true) && ($row->seeds_per_packet ?? null) !== null) {
                $packets[Cell::text($row->id)] = true;
            }
        }
        $each = array_map(fn (): float => $price / count($packets), $packets);
        $edits = [];
        foreach (Penny::parts($each, Currency::places(Cell::text($document->currency ?? ''))) as $lot => $share) {
            $edits[] = ['path' => ['seed_lots', (string) $lot, 'packet_price'], 'to' => $share];
        }

        return $edits;
    }
}
