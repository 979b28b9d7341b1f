<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;

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

    /**
     * Money more for all crops together, were this one raised by another plan of the same method: quicker than all of it worked out anew.
     * Null where only that can tell.
     */
    public function moved(int $crop, CropPlan $to): ?float;

    /** Money for all crops together. */
    public function total(): float;
}
