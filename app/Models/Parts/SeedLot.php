<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "seed_lots" in the season file. */
final class SeedLot extends Part
{
    protected $table = 'seed_lots';
}
