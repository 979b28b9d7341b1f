<?php

declare(strict_types=1);

namespace App\Prices;

/** A line of a price book, as it was understood. */
final readonly class PriceLine
{
    /**
     * @param  ?float  $holds  in a pack, in its unit
     * @param  float  $price  for a pack
     * @param  string  $on  day, as year-month-day
     */
    public function __construct(
        public string $name,
        public string $shop,
        public ?float $holds,
        public string $unit,
        public float $price,
        public string $currency,
        public string $on,
    ) {
    }

    /** The same for the same line, whatever its letters' case. */
    public function mark(): string
    {
        return sha1(implode("\t", [mb_strtolower($this->name), mb_strtolower($this->shop), $this->holds, mb_strtolower($this->unit),
            number_format($this->price, 4, '.', ''), $this->currency, $this->on]));
    }

    /** @return array<string, mixed> as it is kept */
    public function row(int $user): array
    {
        return ['user_id' => $user, 'name' => $this->name, 'shop' => $this->shop, 'holds' => $this->holds, 'unit' => $this->unit,
            'price' => number_format($this->price, 4, '.', ''), 'currency' => $this->currency, 'seen_on' => $this->on, 'mark' => $this->mark()];
    }
}
