<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Closure;
use JollyPenny\Core\Deciding\Choosing\SetupTotals;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Planning\Warning;
use JollyPenny\Core\Plan\Results\CropAccount;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

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
        $totals = SetupTotals::fromBooks($books);
        $lit = array_values(array_filter($books->plans, fn (CropPlan $plan): bool => self::isLit($plan, $books)));
        $found = [];
        foreach ($lit as $i => $plan) {
            $progress === null ?: $progress($i, count($lit));
            $found[] = self::forPlan($plan, $costing, $books, $totals);
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

    private static function forPlan(CropPlan $plan, SeasonCosting $costing, SetupBooks $books, SetupTotals $totals): self
    {
        $told = (new CropAccount($books))->warnings($plan);
        $least = $plan->sowing->finish->enough - self::ODDS;
        $now = $plan->plantOutOn();
        $best = new self($plan->crop->id, Day::ofNumber($now)->format(), Day::ofNumber($now)->format(), 0.0, []);
        $days = range(-self::DAYS, self::DAYS);
        usort($days, fn (int $a, int $b): int => abs($a) <=> abs($b));
        foreach ($days as $by) {
            $crop = self::moved($plan->crop, $by);
            $otherwise = $books->planOtherwise($crop);
            // What is quick to know comes first.
            if ($otherwise instanceof Warning || $otherwise->sowing->finish->enough < $least) {
                continue;
            }
            $more = $books->moved($books->grown[$crop->id], $otherwise);
            if ($more !== null && -$more <= $best->saves + self::SAME / 2.0) {
                continue;
            }
            $other = (new SeasonCosting($costing->season->withCrop($crop), $costing, ['crops']))->books($books->setup);
            $at = $other->grown[$crop->id];
            $then = SetupTotals::fromBooks($other);
            if ($then->crowdedDays > $totals->crowdedDays || $totals->fillCost - $then->fillCost <= $best->saves + self::SAME
                || array_diff((new CropAccount($other))->warnings($other->plans[$at]), $told) !== []) {
                continue;
            }
            $out = Day::ofNumber($other->plans[$at]->plantOutOn())->format();
            $best = new self($crop->id, $best->now, $out, $totals->fillCost - $then->fillCost, self::edits($crop));
        }

        return $best;
    }

    private static function moved(Crop $crop, int $by): Crop
    {
        return $crop->sowOn === null ? $crop->with(plantOutOffsetDays: $crop->plantOutOffsetDays + $by) : $crop->with(sowOn: $crop->sowOn->plus($by));
    }

    /** @return list<array{path: non-empty-list<string|int>, to: mixed}> that make the crop so */
    private static function edits(Crop $crop): array
    {
        return [$crop->sowOn === null ? ['path' => ['crops', $crop->id, 'plant_out_offset_days'], 'to' => $crop->plantOutOffsetDays]
            : ['path' => ['crops', $crop->id, 'sow_on'], 'to' => $crop->sowOn->format()]];
    }
}
