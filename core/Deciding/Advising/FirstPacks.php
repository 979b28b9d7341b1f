<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use stdClass;

/**
 * The packs a new season plans with. Of each supply whose price is still the catalogue's: the size that costs least at the checkout for the
 * first list, and makes no plant dearer.
 */
final readonly class FirstPacks
{
    private const SAME = 1e-9;

    /** @return list<array{path: non-empty-list<string|int>, to: mixed}> edits of a draft whose first crops have just been put on its list */
    public static function forDraft(SeasonDraft $draft): array
    {
        $document = json_decode((string) json_encode($draft->document, JSON_PRESERVE_ZERO_FRACTION));
        $season = $document instanceof stdClass ? (new SeasonReader())->readDocument($document) : null;
        $setup = $season?->setups[0] ?? null;
        if ($season === null || $setup === null || $season->crops === []) {
            return [];
        }
        $costing = new SeasonCosting($season);
        $now = $costing->setup($setup);
        $edits = $least = [];
        foreach ((new PackChanges($costing->books($setup)))->all() as $change) {
            if ($change->kind !== 'pack') {
                continue;
            }
            $then = (new Altered($season))->with($change->edits);
            $result = (new SeasonCosting($then))->setup($setup);
            // A small bag may ask less today and more for each plant: where the rest keeps, the larger one is the better buy.
            if ($result->cost > $now->cost + self::SAME) {
                continue;
            }
            $cash = $result->cash_now;
            $supply = (string) $change->edits[0]['path'][1];
            if ($cash < ($least[$supply] ?? INF)) {
                [$least[$supply], $edits[$supply]] = [$cash, $change->edits];
            }
        }

        return array_merge([], ...array_values($edits));
    }
}
