<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** The frost a planting date counts from. */
enum Anchor: string
{
    case LastFrost = 'last_frost';
    case FirstFrost = 'first_frost';
}
