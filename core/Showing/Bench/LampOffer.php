<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Light;

/** A lamp that would give the same light for less power, and the season from which it is cheaper than going on with the old one. */
final readonly class LampOffer
{
    /**
     * @param  string  $name  of the new lamp
     * @param  float  $price  money
     * @param  ?int  $cheaper_from  season; null where it does not pay within thirty
     */
    private function __construct(public string $name, public float $price, public ?int $cheaper_from)
    {
    }

    /**
     * @param  float  $power  money a season for the old lamp's power
     * @param  array<string, mixed>  $row  of the catalogue's lamps, in the season's money
     */
    private static function with(Light $old, float $power, array $row, Season $season): self
    {
        $number = fn (string $key): float => is_numeric($row[$key] ?? null) ? (float) $row[$key] : 0.0;
        $share = ($number('watts') / max(1e-9, $number('flats'))) / ($old->watts / $old->flats);

        return new self(is_string($row['name'] ?? null) ? $row['name'] : '', $number('price'),
            LampSwap::cheaperFrom($power, $power * $share, $number('price'), $season->discountRate));
    }

    /** The catalogue's LED lamp that pays soonest for an old lamp which is on; null where none lights as much for less. */
    public static function instead(Light $old, float $power, Season $season, Catalogue $catalogue): ?self
    {
        $best = null;
        foreach ($power > 0.0 && $old->watts > 0.0 ? $catalogue->lampsInstead($season->currency) : [] as $row) {
            $offer = self::with($old, $power, $row, $season);
            $lights = ($row['flats'] ?? 0) >= $old->flats && ($row['ppf_umol_s'] ?? 0) >= 0.85 * ($old->ppfUmolS ?? 0.0);
            if ($lights && $offer->cheaper_from !== null && ($best === null || $offer->cheaper_from < $best->cheaper_from)) {
                $best = $offer;
            }
        }

        return $best;
    }
}
