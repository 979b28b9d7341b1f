<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "supplies" in the season file. */
final class Supply extends Part
{
    protected $table = 'supplies';
}
