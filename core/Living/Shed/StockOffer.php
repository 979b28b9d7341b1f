<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

/** What the shed has of a thing beside what a season says, in pieces, seeds or units; and how the season would say the shed's. */
final readonly class StockOffer
{
    /** Amounts that differ by less are the same. */
    private const SAME = 1e-3;

    /** A packet's part is kept to so many places. */
    private const PLACES = 4;

    private function __construct(public float $now, public float $shed, public float|bool $to)
    {
    }

    /**
     * @param  string  $key  of the season that says what there is: owned, owned_units, or an amount of packets or units
     * @param  float|bool  $kept  what it says now
     * @param  float  $each  seeds in a packet, else 1; above 0
     * @param  float  $amount  in the shed
     * @return ?self null where both say the same
     */
    public static function beside(string $key, float|bool $kept, float $each, float $amount): ?self
    {
        $isOwned = $key === 'owned';
        $now = self::pieces($key, $kept, $each);
        $shed = $isOwned ? min(1.0, $amount) : $amount;
        if (abs($now - $shed) <= max(self::SAME, $each * 10 ** -self::PLACES)) {
            return null;
        }

        return new self($now, $shed, match ($key) {
            'owned' => $shed > 0.0,
            'owned_units' => floor($shed),
            default => round($shed / $each, self::PLACES),
        });
    }

    /** Whether the season says that there is none. */
    public static function isNone(string $key, float|bool $kept, float $each): bool
    {
        return self::pieces($key, $kept, $each) < self::SAME;
    }

    private static function pieces(string $key, float|bool $kept, float $each): float
    {
        return $key === 'owned' ? (float) (bool) $kept : (float) $kept * $each;
    }
}
