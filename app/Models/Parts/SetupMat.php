<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "setups.mats" in the season file. */
final class SetupMat extends Part
{
    protected $table = 'setup_mats';
}
