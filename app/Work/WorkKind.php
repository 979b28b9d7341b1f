<?php

declare(strict_types=1);

namespace App\Work;

use Closure;
use JollyPenny\Core\Choosing\MixAndMatch;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** What takes too long for an answer at once, and is worked out beside. */
enum WorkKind: string
{
    case Mix = 'mix';

    /**
     * @param  Closure(int, int): void  $progress  told how much of how much is done; 0 in all where nobody knows
     * @return mixed what is kept as the result
     */
    public function workOut(Season $season, Setup $setup, Closure $progress): mixed
    {
        return match ($this) {
            self::Mix => array_column(
                (new SeasonWriter)->document((new MixAndMatch($season, $setup, $progress))->season())->setups,
                null,
                'id',
            )[MixAndMatch::ID],
        };
    }
}
