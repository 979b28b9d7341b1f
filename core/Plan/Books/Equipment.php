<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/** A lamp, mat, appliance or piece of gear of a set-up: its price, and what of it this season is charged. */
final readonly class Equipment
{
    /**
     * @param  ?string  $place  id of the place it stands at; null for gear
     * @param  ?list<int>  $neededBy  crops whose method brought it in; null where it is in the set-up's list
     */
    public function __construct(
        public string $kind,
        public string $id,
        public Head $head,
        public float $price,
        public float $lifeSeasons,
        public bool $owned,
        public float $charge,
        public ?string $place,
        public ?array $neededBy = null,
    ) {
    }

    /** Things with the same key are shared among the crops in the same way. */
    public function sharedBy(): string
    {
        return (string) json_encode([$this->kind, $this->place, $this->neededBy === null ? null : $this->id]);
    }
}
