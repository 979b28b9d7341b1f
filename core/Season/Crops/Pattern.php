<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** Seeds by the site, or many in one pot and pricked out. */
enum Pattern: string
{
    case PerSite = 'per_site';
    case Community = 'community';
}
