<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "species" in the season file. */
final class Species extends Part
{
    protected $table = 'species';
}
