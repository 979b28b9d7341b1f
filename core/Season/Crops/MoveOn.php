<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** Move on only as many as the list needs, or every plant alive. */
enum MoveOn: string
{
    case Enough = 'enough';
    case All = 'all';
}
