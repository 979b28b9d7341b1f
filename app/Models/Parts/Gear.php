<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "gear" in the season file. */
final class Gear extends Part
{
    protected $table = 'gear';
}
