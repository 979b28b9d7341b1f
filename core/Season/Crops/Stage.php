<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * One step of a method. `days` is a number, EMERGENCE or REST. `survival` is the share of plants that lives through it.
 */
final readonly class Stage
{
    use With;

    /** Until the seed is up. */
    public const EMERGENCE = 'emergence';

    /** What the other stages leave of the species' weeks. */
    public const REST = 'rest';

    /**
     * @param  list<string>  $trayware  ids
     */
    public function __construct(
        public string $name,
        public string $place,
        public float $survival,
        public int|string $days,
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
        return $this->days === self::EMERGENCE;
    }

    public function isRest(): bool
    {
        return $this->days === self::REST;
    }

    /** Days that the file gives it, the extra ones too; those of emergence and of a rest are found elsewhere. */
    public function givenDays(): int
    {
        return $this->isRest() ? 0 : (is_int($this->days) ? $this->days : 0) + $this->extraDays;
    }
}
