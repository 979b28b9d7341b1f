<?php

declare(strict_types=1);

namespace JollyPenny\Core\Advising;

use JollyPenny\Core\Drafting\SeasonDraft;
use JollyPenny\Core\Reckoning\Altered;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use stdClass;

/** The packs a new season plans with: of each supply the size that comes to least for the first list, as far as its price is still ours. */
final readonly class FirstPacks
{
    /** @return list<array{path: non-empty-list<string|int>, to: mixed}> edits of a draft whose first crops have just been put on its list */
    public static function of(SeasonDraft $draft): array
    {
        $document = json_decode((string) json_encode($draft->document, JSON_PRESERVE_ZERO_FRACTION));
        $season = $document instanceof stdClass ? (new SeasonReader())->readDocument($document) : null;
        $setup = $season?->setups[0] ?? null;
        if ($season === null || $setup === null) {
            return [];
        }
        $edits = $least = [];
        foreach ((new PackChanges((new SeasonCosting($season))->books($setup)))->all() as $change) {
            if ($change->kind !== 'pack') {
                continue;
            }
            $then = (new Altered($season))->with($change->edits);
            $cash = (new SeasonCosting($then))->setup($setup)->cash_now;
            $supply = (string) $change->edits[0]['path'][1];
            if ($cash < ($least[$supply] ?? INF)) {
                [$least[$supply], $edits[$supply]] = [$cash, $change->edits];
            }
        }

        return array_merge([], ...array_values($edits));
    }
}
