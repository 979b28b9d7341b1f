<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "crops" in the season file. */
final class Crop extends Part
{
    protected $table = 'crops';
}
