<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** The method of one crop in one set-up; null is the nursery. */
final class SetupOverride extends Part
{
    protected $table = 'setup_overrides';
}
