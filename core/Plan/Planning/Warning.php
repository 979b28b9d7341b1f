<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Planning;

/** What a set-up tells about a crop, in the order in which it is told. */
enum Warning: string
{
    case TooCold = 'too_cold';
    case TooHot = 'too_hot';
    case Frost = 'frost';
    case CannotReach = 'cannot_reach';
    case NoLight = 'no_light';
    case NoMat = 'no_mat';
    case Late = 'late';
    case Dim = 'dim';
    case Small = 'small';
    case NoOffer = 'no_offer';
}
