<?php

declare(strict_types=1);

namespace JollyPenny\Core\Books;

/**
 * How much of something is in use on each day, all crops together, and its peak, also without one of the crops.
 * Uses are [start, end, amount] in day numbers.
 */
final readonly class PeakUse
{
    public float $peak;

    /**
     * @param  list<float>  $daily
     * @param  list<float>  $before  highest up to and including each day
     * @param  list<float>  $after  highest from each day on
     */
    private function __construct(private int $first, private array $daily, private array $before, private array $after)
    {
        $this->peak = $after[0] ?? 0.0;
    }

    /** @param  list<array{int, int, float}>  $uses */
    public static function of(array $uses): self
    {
        if ($uses === []) {
            return new self(0, [], [], []);
        }
        $first = min(array_column($uses, 0));
        $steps = array_fill(0, max(array_column($uses, 1)) - $first + 1, 0.0);
        foreach ($uses as [$start, $end, $amount]) {
            $steps[$start - $first] += $amount;
            $steps[$end - $first] -= $amount;
        }
        $now = $high = 0.0;
        $daily = $before = [];
        foreach ($steps as $step) {
            $daily[] = $now += $step;
            $before[] = $high = max($high, $now);
        }
        $high = 0.0;
        $after = [];
        for ($i = count($daily) - 1; $i >= 0; $i--) {
            $after[] = $high = max($high, $daily[$i]);
        }

        return new self($first, $daily, $before, array_reverse($after));
    }

    /**
     * The peak if these of its uses fell away.
     *
     * @param  non-empty-list<array{int, int, float}>  $own  in order, none overlapping
     */
    public function without(array $own): float
    {
        $from = $own[0][0] - $this->first;
        $to = $own[count($own) - 1][1] - $this->first;
        $high = max($this->before[$from - 1] ?? 0.0, $this->after[$to] ?? 0.0);
        $day = $from;
        foreach ($own as [$start, $end, $amount]) {
            for (; $day < $start - $this->first; $day++) {
                $high = max($high, $this->daily[$day]);
            }
            for (; $day < $end - $this->first; $day++) {
                $high = max($high, $this->daily[$day] - $amount);
            }
        }

        return $high;
    }
}
