<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** An offer a crop can be bought at. */
final class CropOffer extends Part
{
    protected $table = 'crop_offers';
}
