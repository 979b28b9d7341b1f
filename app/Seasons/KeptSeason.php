<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use JollyPenny\Core\Season\Season as SeasonFile;
use stdClass;

/** A season as it is kept: its model, its document, and the core's reading of that. */
final readonly class KeptSeason
{
    public function __construct(public Season $model, public stdClass $document, public SeasonFile $file)
    {
    }
}
