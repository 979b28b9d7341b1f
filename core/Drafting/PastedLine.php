<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

/** One crop of a pasted list. `species` is null where the words name none that the catalogue knows. */
final readonly class PastedLine
{
    public function __construct(public string $text, public ?int $wanted, public ?string $species, public string $variety)
    {
    }
}
