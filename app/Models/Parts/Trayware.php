<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "trayware" in the season file. */
final class Trayware extends Part
{
    protected $table = 'trayware';
}
