<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** A number of the plan that is the catalogue's and nobody has looked at yet. */
final readonly class Guess
{
    /**
     * @param  non-empty-list<string|int>  $path  where it stands in the season file
     * @param  string  $name  "a pack of Seed-starting mix"
     * @param  ?float  $value  in the path's own unit; null where it is more than one number (a place's months)
     * @param  float  $moves  money that it may well move what is saved by, in the season's currency; 0 where that was not worked out
     */
    public function __construct(public array $path, public string $name, public ?float $value, public float $moves)
    {
    }
}
