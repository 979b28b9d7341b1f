<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Plan\Germination\Soil;
use JollyPenny\Core\Plan\Germination\SoilTemperature;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;

/** The soil under a crop's seed with the weather as it was and is said to become; of days that nobody knows, as planned, warmer by what is asked. */
final readonly class WeatherSoil implements Soil
{
    /**
     * @param  bool  $isBed  sown where it grows: its soil follows the air slowly
     * @param  array<int, float>  $read  mean of the soil by day number, where a thermometer in it says so
     * @param  array<int, float>  $air  mean of the place's air by day number, where one says so
     * @param  float  $warmer  °C added to days that are not measured: how far one may be off
     */
    public function __construct(
        private OpenAir $weather,
        private Place $place,
        private bool $isBed,
        private ?Light $light,
        private ?Mat $mat,
        private array $read = [],
        private array $air = [],
        private float $warmer = 0.0,
    ) {
    }

    public function celsiusOn(int $day): float
    {
        if ($day <= $this->weather->today && isset($this->read[$day])) {
            return $this->read[$day];
        }
        if ($day <= $this->weather->today && isset($this->air[$day])) {
            return SoilTemperature::under($this->air[$day], $this->light, $this->mat);
        }
        $air = match (true) {
            ! $this->place->outdoors => (float) $this->place->airOn($day),
            $this->isBed => (float) $this->weather->soilIn($this->place, $day),
            default => (float) $this->weather->airIn($this->place, $day),
        };
        $known = $this->place->outdoors && $this->weather->sourceOf($day) === 'measured';

        return SoilTemperature::under($air + ($known ? 0.0 : $this->warmer), $this->light, $this->mat);
    }

    public function isSteady(): bool
    {
        return false;
    }
}
