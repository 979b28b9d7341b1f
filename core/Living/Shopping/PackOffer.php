<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shopping;

use JollyPenny\Core\Season\Units\Ceiling;

/** A pack as somebody saw or bought it: its price, and how much it holds where that is known. */
final readonly class PackOffer
{
    private const SAME = 1e-6;

    /** Packs are printed in rounded numbers: "8 qt (7.6 L)". */
    private const ROUNDED = 0.01;

    /** @param  ?float  $holds  in the season's unit of the thing */
    public function __construct(public float $price, public ?float $holds, public string $shop, public string $on)
    {
    }

    /** Whether it holds as much as a season's pack; what does not say how much is taken for the same. */
    public function isPackOf(?float $holds): bool
    {
        return $holds === null || $this->holds === null || abs($this->holds - $holds) <= max(self::SAME, self::ROUNDED * $holds);
    }

    /**
     * The offer to make: the newest price of the season's pack where that is another price, or another pack that comes to less for what
     * is needed.
     *
     * @param  list<self>  $offers  the newest of each pack, the newest first
     * @param  float  $price  in the season
     * @param  ?float  $holds  of the season's pack
     * @param  float  $need  in the same unit, as it is used
     * @param  float  $swells  to so many times what a pack holds: a bale is bought as it is pressed
     */
    public static function best(array $offers, float $price, ?float $holds, float $need, float $swells = 1.0): ?self
    {
        $need /= $swells;
        $same = array_values(array_filter($offers, fn (self $one): bool => $one->isPackOf($holds)))[0] ?? null;
        $best = $same;
        $least = self::cost($same->price ?? $price, $holds, $need);
        foreach ($offers as $one) {
            $cost = self::cost($one->price, $one->holds, $need);
            if (! $one->isPackOf($holds) && $need > 0.0 && $cost < $least - self::SAME) {
                [$best, $least] = [$one, $cost];
            }
        }

        return $best !== null && $best->isPackOf($holds) && abs($best->price - $price) < self::SAME ? null : $best;
    }

    /** Money for whole packs. */
    private static function cost(float $price, ?float $holds, float $need): float
    {
        return $holds === null || $holds <= 0.0 ? INF : Ceiling::roundUp($need / $holds) * $price;
    }
}
