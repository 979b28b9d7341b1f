<?php

declare(strict_types=1);

namespace App\Work;

use Closure;
use JollyPenny\Core\Deciding\Advising\Flip;
use JollyPenny\Core\Deciding\Advising\HangsOn;
use JollyPenny\Core\Deciding\Advising\LeavingDay;
use JollyPenny\Core\Deciding\Advising\Lever;
use JollyPenny\Core\Deciding\Advising\OneMoreLamp;
use JollyPenny\Core\Deciding\Advising\Savings;
use JollyPenny\Core\Deciding\Choosing\Budget;
use JollyPenny\Core\Deciding\Choosing\Budgeted;
use JollyPenny\Core\Deciding\Choosing\BudgetYears;
use JollyPenny\Core\Deciding\Choosing\MixAndMatch;
use JollyPenny\Core\Deciding\Simulating\Simulated;
use JollyPenny\Core\Deciding\Simulating\Simulation;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\State\BoughtSeason;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Showing\Workings\Origins;

/** What takes too long for an answer at once, and is worked out beside. */
enum WorkKind: string
{
    case Mix = 'mix';
    case Budget = 'budget';
    case BudgetYears = 'budget_years';
    case SeasonBudget = 'season_budget';
    case Advice = 'advice';
    case HangsOn = 'hangs_on';
    case Simulation = 'simulation';
    case Room = 'room';

    private const SEASONS = 3;

    /** Seasons played, and where their chances begin. */
    private const RUNS = 10_000;

    private const SEED = 17;

    /**
     * Seconds it may take, as measured with 12 crops and with 200 (bin/bench); good enough to say what is short.
     */
    public function expectedSeconds(int $crops): float
    {
        [$ofTwelve, $growth] = match ($this) {
            self::Simulation => [0.3, 1.0],
            self::Advice => [0.5, 1.0],
            self::Room => [0.8, 1.4],
            self::HangsOn => [1.0, 1.2],
            self::Mix => [3.0, 1.2],
            self::Budget, self::SeasonBudget => [8.0, 1.2],
            self::BudgetYears => [20.0, 1.2],
        };

        return $ofTwelve * ($crops / 12) ** $growth;
    }

    /**
     * @param  Closure(int, int, ?Closure=): void  $progress  told how much of how much is done, 0 in all where nobody knows; and what is found so far
     * @param  float  $amount  money, of a limit
     * @param  list<Purchase>  $purchases  that were made already
     * @return mixed what is kept as the result
     */
    public function workOut(Season $season, Setup $setup, float $amount, Closure $progress, array $purchases = []): mixed
    {
        return match ($this) {
            self::BudgetYears => self::plain(BudgetYears::plan($season, $setup->id, $amount, self::SEASONS, $progress)),
            self::SeasonBudget, self::Budget => self::plain(self::limited($season, $setup, $amount, $progress, $purchases, $this === self::SeasonBudget)),
            self::Advice => self::plain((new Savings($season, $setup))->advice($progress)),
            self::HangsOn => self::plain(self::hangsOn($season, $setup, $progress)),
            self::Simulation => self::plain(self::simulated($season, $setup, $progress)),
            self::Room => self::plain(['lamps' => OneMoreLamp::all($season, $setup, $progress),
                'leaving' => LeavingDay::all($season, $setup, $progress)]),
            self::Mix => array_column(
                (new SeasonWriter)->document((new MixAndMatch($season, $setup, $progress))->season())->setups,
                null,
                'id',
            )[MixAndMatch::ID],
        };
    }

    /**
     * @param  Closure(int, int): void  $progress
     * @return array{levers: list<Lever>, flips: list<Flip>}
     */
    private static function hangsOn(Season $season, Setup $setup, Closure $progress): array
    {
        $origins = new Origins((new SeasonWriter)->document($season));
        $words = ['catalogue' => 'guess', 'test' => 'measured'];
        $hangs = new HangsOn($season, $setup, fn (array $path): string => $words[$origins->origin($path)[0]] ?? 'you');

        return ['levers' => $hangs->levers($progress), 'flips' => $hangs->flips($progress)];
    }

    /** @param  Closure(int, int): void  $progress */
    private static function simulated(Season $season, Setup $setup, Closure $progress): Simulated
    {
        $costing = new SeasonCosting($season);

        return (new Simulation($costing->books($setup), $costing->setup($setup)))->play(self::RUNS, self::SEED, $progress);
    }

    /**
     * A limit is kept by what is paid and still to pay.
     *
     * @param  Closure(int, int): void  $progress
     * @param  list<Purchase>  $purchases
     */
    private static function limited(Season $season, Setup $setup, float $amount, Closure $progress, array $purchases, bool $forSeason): Budgeted
    {
        $bought = BoughtSeason::withPurchases($season, $purchases);

        return (new Budget($bought->season, $setup, $bought->left($amount), $progress, $forSeason))->result()->with(limit: $amount, paid: $bought->paid);
    }

    /** As it is kept: objects and lists, without classes. */
    private static function plain(mixed $result): mixed
    {
        return json_decode((string) json_encode($result, JSON_PRESERVE_ZERO_FRACTION));
    }
}
