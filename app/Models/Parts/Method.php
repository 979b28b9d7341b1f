<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "methods" in the season file. */
final class Method extends Part
{
    protected $table = 'methods';
}
