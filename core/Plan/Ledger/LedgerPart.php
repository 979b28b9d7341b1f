<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

/** What a crop pays of one input under one head: its share, times the input's charge. */
final readonly class LedgerPart
{
    public function __construct(public string $crop, public string $head, public int $input, public float $share)
    {
    }
}
