<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/** What one of a supply is counted in. */
enum SupplyUnit: string
{
    case Litre = 'L';
    case Kilogram = 'kg';
    case Each = 'each';
}
