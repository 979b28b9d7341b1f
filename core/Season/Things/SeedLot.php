<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * A variety's seed of one year. `seedsPerPacket` is null for a pinch of one's own, which costs nothing.
 */
final readonly class SeedLot
{
    use With;

    public function __construct(
        public string $id,
        public string $species,
        public string $variety,
        public float $packetPrice,
        public ?int $seedsPerPacket,
        public int $packedFor,
        public float $packetsOwned = 0.0,
        public ?float $germination = null,
        public ?HomeTest $test = null,
        public float $emergenceFactor = 1.0,
        public Leftover $leftover = Leftover::Keep,
        public ?stdClass $meta = null,
    ) {
    }
}
