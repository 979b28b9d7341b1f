<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Plan\Books\BenchDays;

/**
 * One place as it is furnished in a set-up: what stands there day by day (`days` is null where nothing does, or outdoors), what
 * warms and lights it, and what that comes to.
 */
final readonly class BenchPlace
{
    /**
     * @param  list<Stand>  $stands
     * @param  list<ThingUse>  $things  of the set-up, at this place
     * @param  CircuitLoad  $load  all of them on together
     * @param  list<SoilWish>  $soil
     */
    public function __construct(
        public string $id,
        public ?BenchDays $days,
        public array $stands,
        public array $things,
        public CircuitLoad $load,
        public array $soil,
    ) {
    }
}
