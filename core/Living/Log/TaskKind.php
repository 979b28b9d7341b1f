<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Log;

/** What there is to do, in the order in which it is done on one day. */
enum TaskKind: string
{
    case Chill = 'chill';
    case Wash = 'wash';
    case Soak = 'soak';
    case Fill = 'fill';
    case Sow = 'sow';
    case Drain = 'drain';
    case FirstLook = 'first_look';
    case Look = 'look';
    case LastResow = 'last_resow';
    case CoverOff = 'cover_off';
    case MatOff = 'mat_off';
    case Stage = 'stage';
    case Feed = 'feed';
    case PlantOut = 'plant_out';
    case Buy = 'buy';
    case Harden = 'harden';
    case BringIn = 'bring_in';
}
