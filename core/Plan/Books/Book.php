<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/** One part of a set-up's accounts. Crops are named by their place in the list of those that are grown. */
interface Book
{
    /**
     * What falls to a crop, by head.
     *
     * @return array<string, float>
     */
    public function heads(int $crop): array;

    /** Money saved if this crop alone were not grown. */
    public function saved(int $crop): float;

    /** Money for all crops together. */
    public function total(): float;
}
