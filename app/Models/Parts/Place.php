<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "places" in the season file. */
final class Place extends Part
{
    protected $table = 'places';
}
