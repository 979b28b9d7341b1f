<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "appliances" in the season file. */
final class Appliance extends Part
{
    protected $table = 'appliances';
}
