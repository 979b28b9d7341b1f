<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * Where plants stand. Temperature in °C, one for the year or twelve monthly means; null (outdoors only) is not modelled.
 * `flats` is the room there in standard flats, null without limit.
 */
final readonly class Place
{
    /**
     * @param  float|list<float>|null  $tempC
     */
    public function __construct(
        public string $id,
        public string $name,
        public float|array|null $tempC,
        public bool $outdoors = false,
        public bool $heated = true,
        public ?float $flats = null,
        public ?stdClass $meta = null,
    ) {
    }

    /** Air temperature in °C of a month (1 to 12), null where it is not modelled. */
    public function temperatureIn(int $month): ?float
    {
        return is_array($this->tempC) ? $this->tempC[$month - 1] : $this->tempC;
    }
}
