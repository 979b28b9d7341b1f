<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * Catch trays, domes, totes: one for each flat they serve.
 */
final readonly class Trayware
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public float $price,
        public float $lifeSeasons,
        public int $ownedUnits = 0,
        public ?stdClass $meta = null,
    ) {
    }
}
