<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

/** How a figure comes about: the rule in words, the formula with its numbers, and each number's origin. */
final readonly class Working
{
    /** @param  list<Term>  $terms */
    public function __construct(
        public string $figure,
        public string $title,
        public ?float $value,
        public Unit $unit,
        public string $rule,
        public string $formula,
        public array $terms,
    ) {
    }
}
