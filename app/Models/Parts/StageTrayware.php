<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Trayware that a stage uses. */
final class StageTrayware extends Part
{
    protected $table = 'stage_trayware';
}
