<?php

declare(strict_types=1);

namespace JollyPenny\Core\Advising;

use Closure;
use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Choosing\SetupTotals;
use JollyPenny\Core\Planning\CropPlan;
use JollyPenny\Core\Reckoning\Altered;
use JollyPenny\Core\Results\CropAccount;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Throwable;

/** The cheapest day on which a crop leaves the lamp and goes out, within a fortnight, raised as it is; no day that frost, cold or want of room forbids. */
final readonly class LeavingDay
{
    private const DAYS = 14;

    private const SAME = 1e-9;

    /** A chance of enough so much less is not worth a penny. */
    private const ODDS = 0.01;

    /**
     * @param  string  $now  day on which it goes out by the plan
     * @param  string  $cheapest  the cheapest such day; the nearest of several
     * @param  float  $saves  money
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits  that move it there; none where it is the plan's
     */
    private function __construct(public string $crop, public string $now, public string $cheapest, public float $saves, public array $edits)
    {
    }

    /**
     * @param  ?Closure(int, int): void  $progress
     * @return list<self> of crops that stand under a lamp, what saves most first
     */
    public static function all(Season $season, Setup $setup, ?Closure $progress = null): array
    {
        $costing = new SeasonCosting($season);
        $books = $costing->books($setup);
        $altered = new Altered($season);
        $lit = array_values(array_filter($books->plans, fn (CropPlan $plan): bool => self::isLit($plan, $books)));
        $found = [];
        foreach ($lit as $i => $plan) {
            $progress === null ?: $progress($i, count($lit));
            $found[] = self::of($plan, $costing, $books, $altered);
        }
        usort($found, fn (self $a, self $b): int => [$b->saves, $a->crop] <=> [$a->saves, $b->crop]);

        return $found;
    }

    private static function isLit(CropPlan $plan, SetupBooks $books): bool
    {
        foreach ($plan->stages as $stage) {
            if ($stage->stage->light && isset($books->energy()->places[$stage->place->id])) {
                return true;
            }
        }

        return false;
    }

    private static function of(CropPlan $plan, SeasonCosting $costing, SetupBooks $books, Altered $altered): self
    {
        $totals = SetupTotals::of($books);
        $told = (new CropAccount($books))->warnings($plan);
        $least = $plan->sowing->finish->enough - self::ODDS;
        $now = $plan->plantOutOn();
        $best = new self($plan->crop->id, Day::ofNumber($now)->format(), Day::ofNumber($now)->format(), 0.0, []);
        $days = range(-self::DAYS, self::DAYS);
        usort($days, fn (int $a, int $b): int => abs($a) <=> abs($b));
        foreach ($days as $by) {
            $edits = self::moved($plan, $by);
            try {
                $season = $altered->with($edits);
                $other = (new SeasonCosting($season, $costing, ['crops']))->books(array_column($season->setups, null, 'id')[$books->setup->id]);
            } catch (Throwable) {
                continue;
            }
            $then = SetupTotals::of($other);
            $at = $other->grown[$plan->crop->id] ?? null;
            if ($at === null || $then->crowdedDays > $totals->crowdedDays || $other->plans[$at]->sowing->finish->enough < $least
                || array_diff((new CropAccount($other))->warnings($other->plans[$at]), $told) !== []) {
                continue;
            }
            if ($totals->fillCost - $then->fillCost > $best->saves + self::SAME) {
                $out = Day::ofNumber($other->plans[$at]->plantOutOn())->format();
                $best = new self($plan->crop->id, $best->now, $out, $totals->fillCost - $then->fillCost, $edits);
            }
        }

        return $best;
    }

    /** @return list<array{path: non-empty-list<string|int>, to: mixed}> */
    private static function moved(CropPlan $plan, int $by): array
    {
        $crop = $plan->crop;

        return [$crop->sowOn === null ? ['path' => ['crops', $crop->id, 'plant_out_offset_days'], 'to' => $crop->plantOutOffsetDays + $by]
            : ['path' => ['crops', $crop->id, 'sow_on'], 'to' => $crop->sowOn->plus($by)->format()]];
    }
}
