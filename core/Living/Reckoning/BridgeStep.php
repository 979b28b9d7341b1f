<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/** The season with one more kind of fact put in, on top of those before. */
final readonly class BridgeStep
{
    /**
     * @param  string  $key  planned, prices, used, power, up or lived
     * @param  int  $known  facts of this kind that were written down
     * @param  int  $of  that there could be
     * @param  float  $cost  money of the crops that are grown
     * @param  float  $useful  plants of them that somebody wants
     * @param  ?float  $per_finished  money for one; null with fewer than a millionth of a plant
     * @param  ?float  $moved  what this kind of fact did to it
     * @param  array<string, float>  $heads  money by head, of the crops that are grown
     */
    public function __construct(
        public string $key,
        public int $known,
        public int $of,
        public float $cost,
        public float $useful,
        public ?float $per_finished,
        public ?float $moved,
        public array $heads,
    ) {
    }
}
