<?php

declare(strict_types=1);

namespace App\Files;

use RuntimeException;
use Throwable;

/** A file that is no workbook of a ledger. */
final class NotAWorkbook extends RuntimeException
{
    public function __construct(?Throwable $previous = null)
    {
        parent::__construct('This is no workbook of a ledger, or its sheet "Inputs" is gone. Download the ledger as a workbook and change that.', 0, $previous);
    }
}
