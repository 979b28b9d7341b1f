<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use RuntimeException;

/** A working was asked for that does not exist for this crop or set-up. */
final class NoSuchFigure extends RuntimeException
{
}
