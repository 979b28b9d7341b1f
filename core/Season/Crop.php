<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * One line of the grow list: so many finished plants of a seed lot, ready on a day counted from a frost.
 * Outdoors, in pots or in the bed, it may have a sowing day of its own, counted from the same frost.
 */
final readonly class Crop
{
    use With;

    /**
     * @param  list<string>  $nursery  ids
     */
    public function __construct(
        public string $id,
        public string $lot,
        public int $wanted,
        public int $plantOutOffsetDays,
        public ?Split $split = null,
        public Anchor $anchor = Anchor::LastFrost,
        public ?int $outdoorSowOffsetDays = null,
        public ?int $bedSowOffsetDays = null,
        public ?Day $sowOn = null,
        public int $coldDays = 0,
        public ?SowAmount $sow = null,
        public MoveOn $moveOn = MoveOn::Enough,
        public array $nursery = [],
        public float $boughtLoss = 0.0,
        public bool $substitute = false,
        public float $salePrice = 0.0,
        public ?stdClass $meta = null,
    ) {
    }
}
