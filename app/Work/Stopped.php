<?php

declare(strict_types=1);

namespace App\Work;

use RuntimeException;

/** Somebody has stopped what was being worked out. */
final class Stopped extends RuntimeException
{
}
