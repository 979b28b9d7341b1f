<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "setups.lights" in the season file. */
final class SetupLight extends Part
{
    protected $table = 'setup_lights';
}
