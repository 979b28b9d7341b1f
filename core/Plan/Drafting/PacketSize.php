<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\CatalogueFile;
use JollyPenny\Core\Season\Catalogue\Raising;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;

/**
 * A packet of seed as seed houses sell it: the catalogue's, or one of the sizes of packets.csv. Ten times the seed costs about three
 * and a half times as much: a rule of ours from common practice, no source.
 */
final readonly class PacketSize
{
    /** The price grows with this power of the seeds. */
    private const POWER = 0.55;

    /** Sizes below this share of the usual packet are not sold of a species. */
    private const LEAST_SHARE = 0.5;

    /** Seed for one wanted plant: two to a cell and some in reserve; three to a spot of the bed, of which slugs have a third. */
    private const SEEDS_A_PLANT = ['cell' => 2.5, 'bed' => 12.0];

    private const CENTS = 2;

    /** @param  float  $price  US dollars */
    private function __construct(public int $seeds, public float $price)
    {
    }

    /** @return list<self> by number of seeds */
    public static function forSpecies(SpeciesFacts $facts): array
    {
        $sizes = [$facts->seedsPerPacket => new self($facts->seedsPerPacket, $facts->packetPrice)];
        foreach (CatalogueFile::rows('packets') as $row) {
            $seeds = (int) $row['seeds'];
            if ($seeds >= self::LEAST_SHARE * $facts->seedsPerPacket) {
                $sizes[$seeds] ??= new self($seeds, round($facts->packetPrice * ($seeds / $facts->seedsPerPacket) ** self::POWER, self::CENTS));
            }
        }
        ksort($sizes);

        return array_values($sizes);
    }

    /** The size that costs least for so many plants, in whole packets; of the same price the usual one. */
    public static function cheapestFor(SpeciesFacts $facts, int $wanted): self
    {
        $need = $wanted * self::SEEDS_A_PLANT[in_array($facts->raising, [Raising::Root, Raising::Cell], true) && $facts->bedSowOffsetDays !== null && ! $facts->tender ? 'bed' : 'cell'];
        $best = null;
        foreach (self::forSpecies($facts) as $size) {
            $cost = ceil($need / $size->seeds) * $size->price;
            $isUsual = $size->seeds === $facts->seedsPerPacket;
            if ($best === null || $cost < $best[0] - 1e-9 || ($isUsual && $cost <= $best[0] + 1e-9)) {
                $best = [$cost, $size];
            }
        }

        return $best[1] ?? new self($facts->seedsPerPacket, $facts->packetPrice);
    }
}
