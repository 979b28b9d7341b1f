<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "setups" in the season file. */
final class Setup extends Part
{
    protected $table = 'setups';
}
