<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

/** How warm the soil is in which seed lies, day by day. */
interface Soil
{
    /** Mean of a day, °C. */
    public function celsiusOn(int $day): float;

    /** Whether all days are alike, so that one stands for the others. */
    public function isSteady(): bool;
}
