<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * One step of a method. `days` is null for "until they are up". `survival` is the share of plants that lives through it.
 */
final readonly class Stage
{
    /**
     * @param  list<string>  $trayware  ids
     */
    public function __construct(
        public string $name,
        public string $place,
        public float $survival,
        public ?int $days,
        public ?string $container = null,
        public int $plantsPerSite = 1,
        public ?string $mix = null,
        public float $fill = 1.0,
        public ?TopDressing $topDressing = null,
        public array $trayware = [],
        public bool $light = false,
        public bool $mat = false,
        public int $extraDays = 0,
        public ?string $until = null,
        public float $minutesPerSite = 0.0,
        public float $minutesPerFlatDay = 0.0,
        public float $feedsPerWeek = 0.0,
        public ?stdClass $meta = null,
    ) {
    }

    /** True for the stage that lasts until the seed is up. */
    public function untilEmergence(): bool
    {
        return $this->days === null;
    }
}
