<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use Attribute;

/** Names the class of the rows in a list, which PHP's own types cannot. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class ListOf
{
    /** @param  class-string  $class */
    public function __construct(public string $class)
    {
    }
}
