<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;

/** The soil as the season plans it: the air of its place, and what a lamp and a mat add. */
final readonly class PlannedSoil implements Soil
{
    public function __construct(private Place $place, private ?Light $light = null, private ?Mat $mat = null)
    {
    }

    public function celsiusOn(int $day): float
    {
        return SoilTemperature::under((float) $this->place->airOn($day), $this->light, $this->mat);
    }

    public function isSteady(): bool
    {
        return ! is_array($this->place->tempC);
    }
}
