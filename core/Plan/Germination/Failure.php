<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

/** Why seed cannot be raised at a temperature. */
enum Failure: string
{
    case TooCold = 'too_cold';
    case TooHot = 'too_hot';
}
