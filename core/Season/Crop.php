<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * One line of the grow list: so many finished plants of a seed lot, ready on a day counted from a frost.
 */
final readonly class Crop
{
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
        public ?Day $sowOn = null,
        public int $coldDays = 0,
        public ?SowAmount $sow = null,
        public MoveOn $moveOn = MoveOn::Enough,
        public array $nursery = [],
        public float $boughtLoss = 0.0,
        public bool $substitute = false,
        public ?stdClass $meta = null,
    ) {
    }

    /** The same crop planted out so many days after its frost. */
    public function plantedOut(int $offset): self
    {
        return new self($this->id, $this->lot, $this->wanted, $offset, $this->split, $this->anchor, $this->sowOn, $this->coldDays,
            $this->sow, $this->moveOn, $this->nursery, $this->boughtLoss, $this->substitute, $this->meta);
    }

    /** The same crop from another seed lot. */
    public function from(string $lot): self
    {
        return new self($this->id, $lot, $this->wanted, $this->plantOutOffsetDays, $this->split, $this->anchor, $this->sowOn, $this->coldDays,
            $this->sow, $this->moveOn, $this->nursery, $this->boughtLoss, $this->substitute, $this->meta);
    }
}
