<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trials;

/** What a trial came to. */
final readonly class TrialResult
{
    /**
     * @param  list<array{name: string, of: int, came: int, each: ?float}>  $sides  each: money for a finished plant as on the list; null where none is
     * @param  ?int  $better  place of the better side; null where they are alike, or not both counted
     * @param  ?float  $chance  that sides that are alike come out as unlike as this; null before both are counted
     * @param  string  $words  the result in a sentence
     * @param  ?float  $saves  money by which one that came is cheaper on the better side (negative where it is dearer)
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $measure,
        public array $sides,
        public ?int $better,
        public ?float $chance,
        public string $words,
        public ?float $saves,
    ) {
    }
}
