<?php

declare(strict_types=1);

namespace App\Seasons;

use JollyPenny\Core\Season\Season as SeasonFile;

/** A season after a change, and what it was before, so that the till can say by how much it moved. */
final readonly class EditedSeason
{
    /** @param  ?string  $undoes  what undo would take back, where that was just done; null to be looked up */
    public function __construct(public KeptSeason $kept, public SeasonFile $before, public ?string $undoes)
    {
    }
}
