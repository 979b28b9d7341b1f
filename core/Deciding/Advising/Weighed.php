<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** A change with what it does, the whole season costed again. */
final readonly class Weighed
{
    /**
     * @param  string  $kind  as of the change
     * @param  float  $saves  money to fill the list, less than before
     * @param  float  $hours  more than before
     * @param  float  $cash  at the till, more than before
     * @param  ?float  $enough  chance of enough of all, after
     * @param  ?float  $enough_before  the same before
     * @param  float  $missing  plants that nobody supplies, more than before
     * @param  int  $crowded  over-full days, more than before
     * @param  list<string>  $breaks  missing, odds, crowded or dropped: what it does to the list that one would want to know
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits
     */
    public function __construct(
        public string $kind,
        public AdviceGroup $group,
        public ?string $crop,
        public string $words,
        public float $saves,
        public float $hours,
        public float $cash,
        public ?float $enough,
        public ?float $enough_before,
        public float $missing,
        public int $crowded,
        public array $breaks,
        public array $edits,
    ) {
    }
}
