<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

/** What is done together in one sitting, in the order of the day. */
enum JobGroup: string
{
    case Prepare = 'prepare';
    case Wet = 'wet';
    case Sow = 'sow';
    case Look = 'look';
    case Move = 'move';
    case Water = 'water';
    case Out = 'out';
    case Evening = 'evening';
}
