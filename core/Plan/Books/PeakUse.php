<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/**
 * How much of something is in use on each day, all crops together, and its peak, also without one of the crops.
 * Uses are [start, end, amount] in day numbers.
 */
final class PeakUse
{
    public readonly float $peak;

    /** @var ?array{list<float>, list<float>, list<float>} in use on each day, the highest up to and including it, and from it on */
    private ?array $daily = null;

    /** @param  array<int, float>  $steps  what comes and goes, by day number, in order */
    private function __construct(private readonly int $first, private readonly array $steps)
    {
        $now = $peak = 0.0;
        foreach ($steps as $step) {
            $peak = max($peak, $now += $step);
        }
        $this->peak = $peak;
    }

    /** @param  list<array{int, int, float}>  $uses */
    public static function fromUses(array $uses): self
    {
        $steps = [];
        foreach ($uses as [$start, $end, $amount]) {
            $steps[$start] = ($steps[$start] ?? 0.0) + $amount;
            $steps[$end] = ($steps[$end] ?? 0.0) - $amount;
        }
        ksort($steps);

        return new self((int) array_key_first($steps), $steps);
    }

    /**
     * The peak if these of its uses fell away.
     *
     * @param  non-empty-list<array{int, int, float}>  $own  in order, none overlapping
     */
    public function without(array $own): float
    {
        // Day by day only where somebody asks: most uses are asked for their peak alone.
        [$daily, $before, $after] = $this->daily ??= $this->days();
        $from = $own[0][0] - $this->first;
        $to = $own[count($own) - 1][1] - $this->first;
        $high = max($before[$from - 1] ?? 0.0, $after[$to] ?? 0.0);
        $day = $from;
        foreach ($own as [$start, $end, $amount]) {
            for (; $day < $start - $this->first; $day++) {
                $high = max($high, $daily[$day]);
            }
            for (; $day < $end - $this->first; $day++) {
                $high = max($high, $daily[$day] - $amount);
            }
        }

        return $high;
    }

    /**
     * The peak if some of its uses were others.
     *
     * @param  list<array{int, int, float}>  $own
     * @param  list<array{int, int, float}>  $others
     */
    public function with(array $own, array $others): float
    {
        $steps = $this->steps;
        foreach ([[$own, -1], [$others, 1]] as [$uses, $sign]) {
            foreach ($uses as [$start, $end, $amount]) {
                $steps[$start] = ($steps[$start] ?? 0.0) + $sign * $amount;
                $steps[$end] = ($steps[$end] ?? 0.0) - $sign * $amount;
            }
        }
        ksort($steps);

        return (new self(0, $steps))->peak;
    }

    /** @return array{list<float>, list<float>, list<float>} */
    private function days(): array
    {
        $now = $high = 0.0;
        $daily = $before = [];
        for ($day = $this->first; $day <= (array_key_last($this->steps) ?? $this->first - 1); $day++) {
            $daily[] = $now += $this->steps[$day] ?? 0.0;
            $before[] = $high = max($high, $now);
        }
        $high = 0.0;
        $after = [];
        for ($i = count($daily) - 1; $i >= 0; $i--) {
            $after[] = $high = max($high, $daily[$i]);
        }

        return [$daily, $before, array_reverse($after)];
    }
}
