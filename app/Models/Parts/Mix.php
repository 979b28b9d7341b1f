<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "mixes" in the season file. */
final class Mix extends Part
{
    protected $table = 'mixes';
}
