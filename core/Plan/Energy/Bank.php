<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

use JollyPenny\Core\Season\Units\Ceiling;

/** Fixtures of one kind at one place, switched on in order until they cover the flats that want them. */
final readonly class Bank
{
    /**
     * @param  list<float>  $covered  flats covered by the first 1, 2, … of them
     */
    private function __construct(private array $covered)
    {
    }

    /** @param  list<float>  $flats  of each fixture, in order */
    public static function fromFlats(array $flats): self
    {
        $sum = 0.0;

        return new self(array_map(function (float $one) use (&$sum): float {
            return $sum += $one;
        }, $flats));
    }

    public function isEmpty(): bool
    {
        return $this->covered === [];
    }

    /** Flats that all of them cover. */
    public function flats(): float
    {
        return $this->covered[count($this->covered) - 1] ?? 0.0;
    }

    /** How many are on for so many flats. */
    public function onFor(float $flats): int
    {
        $whole = Ceiling::roundUp($flats);
        if ($whole <= 0) {
            return 0;
        }
        foreach ($this->covered as $i => $covered) {
            if ($covered >= $whole - Ceiling::TOLERANCE) {
                return $i + 1;
            }
        }

        return count($this->covered);
    }
}
