<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

use RuntimeException;

/** A row was asked for that the catalogue does not have. */
final class NotInCatalogue extends RuntimeException
{
}
