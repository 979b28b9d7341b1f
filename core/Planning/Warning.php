<?php

declare(strict_types=1);

namespace JollyPenny\Core\Planning;

/** What a set-up tells about a crop or a lamp. */
enum Warning: string
{
    case TooCold = 'too_cold';
    case TooHot = 'too_hot';
    case CannotReach = 'cannot_reach';
    case NoLight = 'no_light';
    case NoMat = 'no_mat';
    case Late = 'late';
    case NoOffer = 'no_offer';
    case Dim = 'dim';
}
