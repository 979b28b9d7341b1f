<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "containers" in the season file. */
final class Container extends Part
{
    protected $table = 'containers';
}
