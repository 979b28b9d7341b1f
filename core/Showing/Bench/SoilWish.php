<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

/** What a crop's seed wants of the soil, and what it gets with the mat and without. */
final readonly class SoilWish
{
    /**
     * @param  float  $low  °C from which nearly all comes up that can
     * @param  float  $high  °C up to which it does
     * @param  ?SoilGiven  $without  null where it would not come up
     * @param  ?SoilGiven  $with  null where there is no mat, or it would not come up
     * @param  bool  $mat_hinders  clearly fewer come up with the mat than without
     * @param  bool  $on_mat  whether the method stands it on the mat
     * @param  ?float  $mat_each  money for the mat's warmth by finished seedling
     */
    public function __construct(
        public string $crop,
        public float $low,
        public float $high,
        public ?SoilGiven $without,
        public ?SoilGiven $with,
        public bool $mat_hinders,
        public bool $on_mat,
        public ?float $mat_each,
    ) {
    }
}
