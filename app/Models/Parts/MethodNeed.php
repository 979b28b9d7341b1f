<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Gear that a method needs. */
final class MethodNeed extends Part
{
    protected $table = 'method_needs';
}
