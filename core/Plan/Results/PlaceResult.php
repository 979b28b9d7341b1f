<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

/** Room at an indoor place: the most flats on one day against what there is. Null is no limit, or no mats. */
final readonly class PlaceResult
{
    public function __construct(
        public string $id,
        public float $peak_flats,
        public ?float $flats,
        public float $peak_light_flats,
        public float $light_flats,
        public float $peak_heat_flats,
        public ?float $heat_flats,
        public int $over_days,
    ) {
    }
}
