<?php

declare(strict_types=1);

namespace App\Work;

use Closure;
use JollyPenny\Core\Choosing\Budget;
use JollyPenny\Core\Choosing\BudgetYears;
use JollyPenny\Core\Choosing\MixAndMatch;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** What takes too long for an answer at once, and is worked out beside. */
enum WorkKind: string
{
    case Mix = 'mix';
    case Budget = 'budget';
    case BudgetYears = 'budget_years';
    case SeasonBudget = 'season_budget';

    private const SEASONS = 3;

    /**
     * @param  Closure(int, int): void  $progress  told how much of how much is done; 0 in all where nobody knows
     * @param  float  $amount  money, of a limit
     * @return mixed what is kept as the result
     */
    public function workOut(Season $season, Setup $setup, float $amount, Closure $progress): mixed
    {
        return match ($this) {
            self::BudgetYears => self::plain(BudgetYears::of($season, $setup->id, $amount, self::SEASONS, $progress)),
            self::SeasonBudget => self::plain((new Budget($season, $setup, $amount, $progress, true))->result()),
            self::Budget => self::plain((new Budget($season, $setup, $amount, $progress))->result()),
            self::Mix => array_column(
                (new SeasonWriter)->document((new MixAndMatch($season, $setup, $progress))->season())->setups,
                null,
                'id',
            )[MixAndMatch::ID],
        };
    }

    /** As it is kept: objects and lists, without classes. */
    private static function plain(mixed $result): mixed
    {
        return json_decode((string) json_encode($result, JSON_PRESERVE_ZERO_FRACTION));
    }
}
