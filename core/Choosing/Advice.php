<?php

declare(strict_types=1);

namespace JollyPenny\Core\Choosing;

use JollyPenny\Core\Results\CropResult;
use JollyPenny\Core\Results\SetupResult;

/** What to do, from the cheapest set-up that supplies the list: grow these, buy those. */
final readonly class Advice
{
    /**
     * @param  list<string>  $grow  crops
     * @param  list<string>  $along  crops that pay only because the bench is running anyway
     * @param  list<string>  $buy  crops it buys, or would do better to
     * @param  float  $cost  money to fill the list
     * @param  ?float  $saves  money against buying everything
     */
    private function __construct(
        public string $setup,
        public array $grow,
        public array $along,
        public array $buy,
        public float $cost,
        public ?float $saves,
    ) {
    }

    public static function of(SetupResult $result): self
    {
        $with = fn (string ...$verdicts): array => array_column(
            array_filter($result->crops, fn (CropResult $crop): bool => in_array($crop->verdict, $verdicts, true)),
            'id',
        );
        $bought = array_column(array_filter($result->crops, fn (CropResult $crop): bool => ! $crop->grown && $crop->cost !== null), 'id');

        return new self(
            $result->id,
            $with('grow', 'grow_only'),
            $with('grow_along'),
            [...$with('buy', 'buy_only'), ...$bought],
            $result->fill_cost,
            $result->keep,
        );
    }
}
