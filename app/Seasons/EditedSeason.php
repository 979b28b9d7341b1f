<?php

declare(strict_types=1);

namespace App\Seasons;

use JollyPenny\Core\Season\Season as SeasonFile;

/** A season after a change, and what it was before, so that the till can say by how much it moved. */
final readonly class EditedSeason
{
    public function __construct(public KeptSeason $kept, public SeasonFile $before)
    {
    }
}
