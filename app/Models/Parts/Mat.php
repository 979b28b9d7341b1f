<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "mats" in the season file. */
final class Mat extends Part
{
    protected $table = 'mats';
}
