<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** One side of a trial: crops, in all their trays or only in some. */
final readonly class TrialSide
{
    /**
     * @param  list<string>  $crops  ids
     * @param  list<string>  $trays  letters; empty for all
     */
    public function __construct(public string $name, public array $crops, public array $trays = [])
    {
    }
}
