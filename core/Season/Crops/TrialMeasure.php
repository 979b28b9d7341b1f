<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** By what a trial is decided: what came up of what was sown, or what lived of what came up. */
enum TrialMeasure: string
{
    case Up = 'up';
    case Lived = 'lived';
}
