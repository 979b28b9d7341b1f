<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\SetupBooks;

/** The chance that growing saves anything against buying, the plants that fail bought. Costing rules, section 8. */
final readonly class ChanceToKeep
{
    /** Money is counted in thousandths of what buying costs. */
    private const PARTS = 1000;

    /** Rounding must not move a thousandth. */
    private const TOLERANCE = 1e-9;

    /**
     * @param  list<CropResult>  $crops
     * @param  float  $buying  money for buying all that is supplied and on offer
     * @return ?float null where nothing that somebody sells is grown, or buying costs nothing
     */
    public static function probability(SetupBooks $books, array $crops, float $buying): ?float
    {
        $onOffer = $books->onOffer();
        $part = $buying / self::PARTS;
        if ($onOffer === [] || $part <= 0.0) {
            return null;
        }
        $own = 0.0;
        foreach ($crops as $crop) {
            $own += $crop->buy_cost === null ? 0.0 : (float) $crop->cost;
        }
        $parts = [];
        foreach ($onOffer as $crop) {
            $parts[$crop] = array_map(
                fn (float $price): int => (int) floor($price / $part + 0.5 + self::TOLERANCE),
                $books->nursery->missing($books->plans[$crop]->crop) ?? [],
            );
        }
        $most = (int) floor(($buying - $own) / $part + self::TOLERANCE);
        // Where nothing else is bought, whatever is missing costs a trip of its own.
        $trip = $books->bought === [] ? (int) floor($books->season()->nurseryTripCost / $part + 0.5 + self::TOLERANCE) : 0;
        if ($most < 0) {
            return 0.0;
        }

        [$without, $with] = $books->together->missingAtMost($parts, $most, $most - $trip);

        return max($without, $with);
    }
}
