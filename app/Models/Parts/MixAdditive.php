<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "mixes.additives" in the season file. */
final class MixAdditive extends Part
{
    protected $table = 'mix_additives';
}
