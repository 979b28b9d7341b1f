<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use ReflectionClass;

/** Copies of a value object with some of its properties changed; every other one is carried along. */
trait With
{
    /** @param  mixed  ...$changes  new values by property name */
    public function with(mixed ...$changes): self
    {
        return (new ReflectionClass($this))->newInstanceArgs([...get_object_vars($this), ...$changes]);
    }
}
