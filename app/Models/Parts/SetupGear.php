<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "setups.gear" in the season file. */
final class SetupGear extends Part
{
    protected $table = 'setup_gear';
}
