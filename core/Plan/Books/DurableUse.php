<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Season\Units\Ceiling;

/** A durable container or piece of trayware: the units its peak asks for, and one season's share of those charged. */
final readonly class DurableUse
{
    public int $unitsNeeded;

    private float $weight;

    /**
     * @param  float  $perUnit  sites (or flats) one unit serves
     * @param  int  $free  units that cost nothing this season
     * @param  float  $seasonShare  money for one unit
     * @param  array<int, non-empty-list<array{int, int, float}>>  $spans  when and how much, by crop
     * @param  array<int, float>  $weights  by which crops share the cost
     */
    public function __construct(
        public PeakUse $use,
        private float $perUnit,
        private int $free,
        public float $seasonShare,
        private array $spans,
        public array $weights,
    ) {
        $this->unitsNeeded = $this->units($use->peak);
        $this->weight = array_sum($weights);
    }

    public function charge(): float
    {
        return $this->chargeFor($this->unitsNeeded);
    }

    public function share(int $crop): float
    {
        return $this->weight > 0.0 ? $this->charge() * ($this->weights[$crop] ?? 0.0) / $this->weight : 0.0;
    }

    public function saved(int $crop): float
    {
        return isset($this->spans[$crop])
            ? $this->charge() - $this->chargeFor($this->units($this->use->without($this->spans[$crop]))) : 0.0;
    }

    /**
     * Money more, were a crop's uses others.
     *
     * @param  list<array{int, int, float}>  $spans
     */
    public function moved(int $crop, array $spans): float
    {
        return $this->chargeFor($this->units($this->use->with($this->spans[$crop] ?? [], $spans))) - $this->charge();
    }

    private function units(float $inUse): int
    {
        return max(0, Ceiling::roundUp($inUse / $this->perUnit));
    }

    private function chargeFor(int $units): float
    {
        return max(0, $units - $this->free) * $this->seasonShare;
    }
}
