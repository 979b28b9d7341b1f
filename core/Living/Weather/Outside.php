<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Season\Things\Place;

/** Plants of one crop that stand outdoors in an evening. */
final readonly class Outside
{
    /**
     * @param  int  $count  plants; sites where they are raised one by one
     * @param  bool  $isInTheBed  they cannot be carried in, only covered
     * @param  float  $limitC  lowest air they are left out in, hardened off as far as they are
     * @param  float  $shelterC  their place is so much warmer than the open air
     */
    public function __construct(
        public string $crop,
        public string $name,
        public int $count,
        public Place $place,
        public bool $isInTheBed,
        public float $limitC,
        public float $shelterC,
    ) {
    }
}
