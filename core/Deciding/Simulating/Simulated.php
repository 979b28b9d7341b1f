<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Simulating;

/** A set-up's season played out many times. Keys are stable; money is in the season's currency. */
final readonly class Simulated
{
    /**
     * @param  int  $runs  seasons played
     * @param  array{mean: ?float, low: ?float, high: ?float}  $useful  plants that somebody wants, of those grown; low and high are the 10 and 90 % points
     * @param  array{mean: ?float, low: ?float, high: ?float}  $per_finished  money for one; a season with none counts as the dearest
     * @param  array{mean: ?float, low: ?float, high: ?float}  $keep  against buying, shortfalls bought, trip out of it
     * @param  ?float  $p_keep  share of seasons in which growing saves anything
     * @param  float  $p_all_enough  share of seasons in which all crops come to what is wanted
     * @param  list<array{from: float, to: float, count: int}>  $spread  of the cost of one, seasons by bands; none with no plant
     * @param  list<array{name: string, useful: float, per_finished: ?float, keep: ?float}>  $kinds  good, usual and bad season: the means
     *   of the best tenth, the middle and the worst
     * @param  list<array{crop: string, lost: float}>  $bad  crops by the plants they are short of in the worst tenth, on average, most first
     * @param  array{bad_season: float, mishaps: float}  $made_bad  of the worst tenth: share that were bad seasons, batches lost whole on average
     */
    public function __construct(
        public string $setup,
        public int $runs,
        public int $seed,
        public array $useful,
        public array $per_finished,
        public array $keep,
        public ?float $p_keep,
        public float $p_all_enough,
        public array $spread,
        public array $kinds,
        public array $bad,
        public array $made_bad,
    ) {
    }
}
