<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "setups.appliances" in the season file. */
final class SetupAppliance extends Part
{
    protected $table = 'setup_appliances';
}
