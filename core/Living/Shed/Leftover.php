<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

use JollyPenny\Core\Season\With;

/** What is there of a thing when a season is over. */
final readonly class Leftover
{
    use With;

    /**
     * @param  string  $kind  seed, supply, container, trayware, light, mat, appliance or gear
     * @param  float  $before  there when it began
     * @param  float  $bought  on top
     * @param  float  $used  up
     * @param  float  $left  of it
     * @param  string  $unit  seeds, L, kg or each
     * @param  bool  $served  it did a season's work
     * @param  ?int  $packed_for  the year of seed
     * @param  string  $known  whether what is left is counted by hand, logged or planned
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $name,
        public float $before,
        public float $bought,
        public float $used,
        public float $left,
        public string $unit,
        public bool $served,
        public ?int $packed_for,
        public string $known,
    ) {
    }
}
