<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "mixes.parts" in the season file. */
final class MixPart extends Part
{
    protected $table = 'mix_parts';
}
