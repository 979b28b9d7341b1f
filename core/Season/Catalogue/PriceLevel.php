<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/**
 * What the catalogue's prices, in US dollars, come to in another currency: a typical level, to be put right by what one really
 * pays, in the steps in which shops there write prices.
 */
final readonly class PriceLevel
{
    /** The currency of the catalogue's own prices. */
    public const OWN = 'USD';

    /**
     * @param  float  $level  money for goods that cost a dollar
     * @param  float  $step  the smallest amount of a shop's prices there
     * @param  list<string>  $regions  ISO 3166 codes
     */
    private function __construct(
        public string $currency,
        public float $level,
        public float $step,
        public array $regions,
        public string $source,
    ) {
    }

    /** @return array<string, self> by currency */
    public static function all(): array
    {
        $levels = [];
        foreach (CatalogueFile::rows('price-levels') as $row) {
            $currency = (string) $row['currency'];
            $levels[$currency] = new self($currency, (float) $row['level'], (float) $row['step'],
                explode(' ', (string) $row['regions']), (string) $row['source']);
        }

        return $levels;
    }

    /** @throws NotInCatalogue where no level is known of the currency */
    public static function forCurrency(string $currency): self
    {
        return self::all()[$currency]
            ?? throw new NotInCatalogue("The catalogue has no prices in {$currency}. Choose another currency, and put in your own prices.");
    }

    /** @param  float  $price  US dollars */
    public function price(float $price): float
    {
        $here = $price * $this->level;

        return match (true) {
            $this->currency === self::OWN => $price,
            // What is used of a washing-up bottle has no price on a shelf.
            $here < $this->step => round($here, 3),
            default => round(round($here / $this->step) * $this->step, 2),
        };
    }
}
