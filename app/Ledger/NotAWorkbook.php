<?php

declare(strict_types=1);

namespace App\Ledger;

use RuntimeException;
use Throwable;

/** A file that is no workbook of a ledger. */
final class NotAWorkbook extends RuntimeException
{
    private const REMEDY = 'Download the ledger as a workbook and change that.';

    public function __construct(?Throwable $previous = null)
    {
        parent::__construct('This is no workbook of a ledger, or its sheet "Inputs" is gone. '.self::REMEDY, 0, $previous);
    }

    public static function becauseItIsTooLarge(): self
    {
        $refusal = new self;
        $refusal->message = 'This workbook is larger than a ledger ever is. '.self::REMEDY;

        return $refusal;
    }
}
