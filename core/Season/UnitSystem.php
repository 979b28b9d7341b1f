<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

/** How the person reads quantities; the core itself is SI throughout. */
enum UnitSystem: string
{
    case Us = 'us';
    case Metric = 'metric';
}
