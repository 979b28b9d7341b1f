<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "species.germination" in the season file. */
final class GerminationRow extends Part
{
    protected $table = 'germination_rows';
}
