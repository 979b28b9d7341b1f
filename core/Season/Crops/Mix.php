<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\ListOf;
use stdClass;

/**
 * A recipe. `shrinkage` is the share of the parts' volume lost in mixing, `minutesPerL` the stirring, `kwhPerL` the boiling water.
 */
final readonly class Mix
{
    /**
     * @param  list<MixPart>  $parts
     * @param  list<Additive>  $additives
     */
    public function __construct(
        public string $id,
        public string $name,
        #[ListOf(MixPart::class)] public array $parts,
        public float $shrinkage = 0.0,
        #[ListOf(Additive::class)] public array $additives = [],
        public float $minutesPerL = 0.0,
        public float $kwhPerL = 0.0,
        public ?stdClass $meta = null,
    ) {
    }
}
