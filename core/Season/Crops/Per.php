<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** What an extra is counted by. */
enum Per: string
{
    case Site = 'site';
    case Flat = 'flat';
    case Crop = 'crop';
}
