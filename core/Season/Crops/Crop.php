<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\Offer;
use JollyPenny\Core\Season\With;
use stdClass;

/**
 * One line of the grow list: so many finished plants of a seed lot, ready on a day counted from a frost.
 * Outdoors, in pots or in the bed, it may have a sowing day of its own, counted from the same frost.
 */
final readonly class Crop
{
    use With;

    /** Litres by which a pot may be smaller and still be as large. */
    public const SAME = 1e-9;

    /**
     * @param  ?float  $potAtLeastL  litres of the pot that a plant, bought or raised, is wanted in
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
        public ?float $potAtLeastL = null,
        public float $boughtLoss = 0.0,
        public bool $substitute = false,
        public float $salePrice = 0.0,
        public ?stdClass $meta = null,
    ) {
    }

    /** Whether a bought plant is the same plant: in a pot large enough, or nobody knows in what. */
    public function accepts(Offer $offer): bool
    {
        return $this->potAtLeastL === null || $offer->potL === null || $offer->potL >= $this->potAtLeastL - self::SAME;
    }
}
