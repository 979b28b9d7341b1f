<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/** What becomes of an opened pack: kept for next season, or thrown away and so paid for whole. */
enum Leftover: string
{
    case Keep = 'keep';
    case Waste = 'waste';
}
