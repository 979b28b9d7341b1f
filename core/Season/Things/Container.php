<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * What seed or plants stand in. A unit has `sitesPerUnit` sites, each of `volumeL` litres and `topAreaM2` square metres.
 */
final readonly class Container
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public int $sitesPerUnit,
        public float $packPrice,
        public float $volumeL,
        public float $topAreaM2,
        public float $flatsPerUnit,
        public int $unitsPerPack = 1,
        public bool $singleUse = false,
        public float $lifeSeasons = 1.0,
        public int $ownedUnits = 0,
        public ?Measured $measured = null,
        public float $prepCostPerUnit = 0.0,
        public float $prepMinutesPerUnit = 0.0,
        public ?stdClass $meta = null,
    ) {
    }

    /** Money for one unit out of its pack. */
    public function unitPrice(): float
    {
        return $this->packPrice / $this->unitsPerPack;
    }
}
