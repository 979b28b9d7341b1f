<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "methods.stages" in the season file. */
final class Stage extends Part
{
    protected $table = 'stages';
}
