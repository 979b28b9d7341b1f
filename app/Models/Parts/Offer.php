<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "nursery" in the season file. */
final class Offer extends Part
{
    protected $table = 'offers';
}
