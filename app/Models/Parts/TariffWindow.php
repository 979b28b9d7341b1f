<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "electricity.windows" in the season file. */
final class TariffWindow extends Part
{
    protected $table = 'tariff_windows';
}
