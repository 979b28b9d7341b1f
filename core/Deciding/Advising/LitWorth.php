<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SetupResult;

/** What a crop earns with its place under the lamp. */
final readonly class LitWorth
{
    private const WEEK = 7;

    private const NO_ROOM = 1e-9;

    /**
     * @param  float  $flat_weeks  under a lamp
     * @param  float  $earns  money against buying, were it left out of the bench: the season's extra cost, with what is missing bought
     * @param  float  $per_flat_week  money
     * @param  bool  $first_out  of what stands on the bench on an over-full day this earns least: the first to give way
     */
    private function __construct(public string $crop, public float $flat_weeks, public float $earns, public float $per_flat_week, public bool $first_out)
    {
    }

    /** @return list<self> of crops that stand under a lamp and are on offer, what earns most first */
    public static function fromBooks(SetupBooks $books, SetupResult $result): array
    {
        $rows = [];
        foreach ($books->plans as $plan) {
            $weeks = 0.0;
            foreach ($plan->stages as $stage) {
                $lamps = $books->energy()->places[$stage->place->id] ?? null;
                $weeks += $stage->stage->light && $lamps !== null ? $stage->flatDays() / self::WEEK : 0.0;
            }
            $row = array_column($result->crops, null, 'id')[$plan->crop->id];
            if ($weeks > self::NO_ROOM && $row->buy_cost !== null && $row->extra_cost !== null) {
                $rows[$plan->crop->id] = [$weeks, $row->buy_cost - $row->extra_cost - $row->shortfallBought()];
            }
        }
        uasort($rows, fn (array $a, array $b): int => $b[1] / $b[0] <=> $a[1] / $a[0]);
        // Only what stands there on such a day makes room by going.
        $crowding = array_flip(BenchDays::crowding(BenchDays::fromBooks($books)));
        $last = array_key_last(array_intersect_key($rows, $crowding));

        return array_map(
            fn (string|int $crop, array $one): self => new self((string) $crop, $one[0], $one[1], $one[1] / $one[0], $crop === $last),
            array_keys($rows),
            array_values($rows),
        );
    }
}
