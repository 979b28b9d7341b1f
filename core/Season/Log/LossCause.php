<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Log;

/** What plants are lost of. Common practice, no source. */
enum LossCause: string
{
    case NotUp = 'not_up';
    case DampingOff = 'damping_off';
    case DriedOut = 'dried_out';
    case Leggy = 'leggy';
    case Scorched = 'scorched';
    case Frozen = 'frozen';
    case Gnats = 'gnats';
    case Eaten = 'eaten';
    case Forgotten = 'forgotten';
    case RootBound = 'root_bound';
    case MixedUp = 'mixed_up';
    case Animals = 'animals';
    case Other = 'other';
}
