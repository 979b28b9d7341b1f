<?php

declare(strict_types=1);

namespace App\Prices;

use RuntimeException;

/** A file that cannot be read as a table; the message says why and what to do. */
final class NotATable extends RuntimeException
{
}
