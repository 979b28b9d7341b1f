<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

/** Whole packs of one thing to buy now. */
final readonly class ShoppingLine
{
    public function __construct(public string $kind, public string $id, public int $packs, public float $cost)
    {
    }
}
