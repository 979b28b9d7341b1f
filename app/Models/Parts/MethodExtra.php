<?php

declare(strict_types=1);

namespace App\Models\Parts;

/** Rows of "methods.extras" in the season file. */
final class MethodExtra extends Part
{
    protected $table = 'method_extras';
}
