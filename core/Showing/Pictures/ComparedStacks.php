<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\SetupResult;

/** The penny stacks of all set-ups in one size of coin, so that their heights compare. */
final readonly class ComparedStacks
{
    /**
     * @param  float  $coin  money that one coin stands for
     * @param  ?float  $nursery_coins  height of the nursery's price, in coins
     * @param  array<string, ?PennyStack>  $setups  by set-up; null where nothing is supplied
     */
    private function __construct(public float $coin, public ?float $nursery_coins, public array $setups)
    {
    }

    /** @param  list<SetupResult>  $results */
    public static function fromResults(array $results, ?float $nursery, string $currency): self
    {
        $tallest = $nursery ?? 0.0;
        foreach ($results as $result) {
            $tallest = max($tallest, PennyStack::height($result));
        }
        $coin = PennyStack::coin($tallest, $currency);
        $setups = [];
        foreach ($results as $result) {
            $setups[$result->id] = PennyStack::ofSetup($result, $coin);
        }

        return new self($coin, $nursery === null ? null : $nursery / $coin, $setups);
    }
}
