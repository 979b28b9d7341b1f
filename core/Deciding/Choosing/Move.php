<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Season\Season;

/** A crop that stands somewhere else for the last part of a stage, as a change of the season. */
final readonly class Move
{
    /**
     * @param  string  $place  its name
     * @param  string  $on  year-month-day
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits  a method of its own for it, and the crop raised so
     * @param  Season  $season  with these edits
     * @param  string  $method  id of that method
     */
    public function __construct(
        public string $crop,
        public string $name,
        public string $place,
        public string $on,
        public array $edits,
        public Season $season,
        public string $method,
    ) {
    }
}
