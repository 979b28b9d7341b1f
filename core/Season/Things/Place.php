<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use stdClass;

/**
 * Where plants stand. Temperature in °C, one for the year or twelve monthly means; null (outdoors only) is not modelled.
 * `flats` is the room there in standard flats, null without limit; `daylight` what of the sun reaches the plants,
 * mol/m²/day, null where it is not known.
 */
final readonly class Place
{
    /**
     * @param  float|list<float>|null  $tempC
     * @param  float|list<float>|null  $daylight
     */
    public function __construct(
        public string $id,
        public string $name,
        public float|array|null $tempC,
        public bool $outdoors = false,
        public bool $heated = true,
        public ?float $flats = null,
        public ?Outlet $outlet = null,
        public float|array|null $daylight = null,
        public ?stdClass $meta = null,
    ) {
    }

    /** Air temperature of a day, °C; null where it is not modelled. */
    public function airOn(int $day): ?float
    {
        return Monthly::on($this->tempC, $day);
    }

    /** Daylight of a day, mol/m²; null where it is not known. */
    public function daylightOn(int $day): ?float
    {
        return Monthly::on($this->daylight, $day);
    }
}
