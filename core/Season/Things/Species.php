<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\ListOf;
use stdClass;

/**
 * What a species does: germination by temperature, how long its seed lives, what share of fresh seed comes up, weeks from sowing to
 * planting out (null: not known), and whether frost kills it.
 */
final readonly class Species
{
    /**
     * @param  list<GerminationRow>  $germination
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $freshGermination,
        #[ListOf(GerminationRow::class)] public array $germination = [],
        public ?float $daysToEmerge = null,
        public float $longevityYears = 3.0,
        public ?float $weeks = null,
        public bool $tender = false,
        public ?stdClass $meta = null,
    ) {
    }
}
