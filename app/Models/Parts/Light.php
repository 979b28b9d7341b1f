<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "lights" in the season file. */
final class Light extends Part
{
    protected $table = 'lights';
}
