<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

/** One way to make room on an over-full bench, what it does, and the change of the season that makes it so. */
final readonly class Relief
{
    /**
     * @param  string  $kind  later (sown later), earlier (planted out earlier), smaller (another method that takes less room) or
     *     move (part of its time in another place)
     * @param  ?int  $days  by how many it is later or earlier
     * @param  ?string  $method  the other method
     * @param  float  $cost  money more, to fill the list
     * @param  int  $crowded_days  left
     * @param  list<array{path: list<string|int>, to: mixed}>  $edits
     * @param  ?string  $place  the other place's name
     * @param  ?string  $on  day on which it moves there, year-month-day
     */
    public function __construct(
        public string $kind,
        public string $crop,
        public ?int $days,
        public ?string $method,
        public float $cost,
        public int $crowded_days,
        public array $edits,
        public ?string $place = null,
        public ?string $on = null,
    ) {
    }
}
