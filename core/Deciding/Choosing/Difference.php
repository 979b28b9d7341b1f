<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\Penny;

/** What makes one set-up dearer or cheaper than another, head by head, largest first; it adds up to the difference in filling the list. */
final readonly class Difference
{
    private const NOTHING = 5e-7;

    /**
     * @param  float  $total  money, the second less the first
     * @param  list<array{head: string, from: float, to: float, by: float}>  $parts  `by` rounded so that the parts add up to the shown total; "shortfall" is plants bought for those that fail
     */
    private function __construct(public string $from, public string $to, public float $total, public array $parts)
    {
    }

    public static function between(SetupResult $from, SetupResult $to, string $currency): self
    {
        /** @var array<string, array{float, float}> $amounts */
        $amounts = [];
        foreach (Head::cases() as $head) {
            $amounts[$head->value] = [$from->heads[$head->value], $to->heads[$head->value]];
        }
        $amounts['shortfall'] = [$from->fill_cost - $from->cost, $to->fill_cost - $to->cost];
        $by = array_map(fn (array $pair): float => $pair[1] - $pair[0], $amounts);
        $shown = Penny::parts($by, Currency::places($currency));
        $parts = [];
        foreach ($amounts as $head => [$before, $after]) {
            if (abs($by[$head]) > self::NOTHING) {
                $parts[] = ['head' => (string) $head, 'from' => $before, 'to' => $after, 'by' => $shown[$head]];
            }
        }
        usort($parts, fn (array $a, array $b): int => abs($b['by']) <=> abs($a['by']));

        return new self($from->id, $to->id, $to->fill_cost - $from->fill_cost, $parts);
    }
}
