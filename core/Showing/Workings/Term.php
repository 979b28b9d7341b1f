<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

/** One number in a working: where it came from is a path into the season file, or another working. */
final readonly class Term
{
    /**
     * @param  ?list<string|int>  $path  list, row id and keys of the value in the season file
     * @param  ?string  $working  name of the figure that explains this number
     */
    public function __construct(
        public string $label,
        public float|int|string|null $value,
        public Unit $unit,
        public ?array $path = null,
        public ?string $working = null,
    ) {
    }
}
