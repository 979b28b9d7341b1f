<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\SowAgain\TwoSowings;
use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\HeadGroup;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\ThingKind;

/**
 * What a season came to. Each kind of fact is put into the season on top of those before it, and the season is costed again: prices
 * paid, what was sown and wetted, power measured; then what came up and what lived change the plants that the cost is spread over. What is not
 * known stays as planned.
 */
final class Reckoning
{
    private const NO_PLANTS = 1e-6;

    private const WEEK = 7;

    private const MONDAY = 3;

    private readonly LogBook $log;

    private readonly Season $season;

    private ?SetupResult $plan = null;

    /**
     * @param  SeasonCosting  $planned  of the season as planned
     * @param  list<Purchase>  $purchases
     * @param  list<array{path: non-empty-list<string>, real: float}>  $measured  by devices, that differ from the plan
     */
    public function __construct(
        private readonly SeasonCosting $planned,
        private readonly Setup $setup,
        LogBook $log,
        private readonly array $purchases,
        private readonly array $measured,
    ) {
        $this->season = $planned->season;
        $this->log = $log->inSetup($planned->books($setup));
    }

    private function plan(): SetupResult
    {
        return $this->plan ??= $this->planned->setup($this->setup);
    }

    public function cameTo(): CameTo
    {
        $season = $this->season;
        $plan = $this->plan();
        $steps = [$this->step('planned', 0, 0, $plan, null, $plan->useful)];
        $beside = $this->beside();
        $result = $plan;
        $costing = $this->planned;
        foreach (['prices' => $this->pricesPaid(), 'used' => $this->used(), 'power' => $this->power()] as $key => [$edits, $known, $of]) {
            if ($edits !== []) {
                $season = (new Altered($season))->with($edits);
                $costing = new SeasonCosting($season, $costing, array_map(fn (array $edit): string => $edit['path'][0], $edits));
                $result = $costing->setup($this->setup);
            }
            $steps[] = $this->step($key, $known, $of, $result, $steps[count($steps) - 1], $result->useful, $beside);
        }
        $books = $costing->books($this->setup);
        [$up, $counted] = $this->usefulBy($books, fn (CropPlan $plan, RowFacts $facts): ?float => $this->usefulOnceUp($plan, $facts));
        $steps[] = $this->step('up', $counted, count($books->plans), $result, $steps[3], $up, $beside);
        [$lived] = $this->usefulBy($books, $this->usefulSoFar(...));
        $over = count(array_filter($books->plans, fn (CropPlan $plan): bool => self::isOver($this->log->crop($plan->crop->id))));
        $steps[] = $this->step('lived', $over, count($books->plans), $result, $steps[4], $lived, $beside);

        return $this->answer($steps, $books, $result);
    }

    /** @param  float  $beside  money for what was bought beside the plan */
    private function step(string $key, int $known, int $of, SetupResult $result, ?BridgeStep $before, float $useful, float $beside = 0.0): BridgeStep
    {
        $heads = [];
        $cost = $beside;
        foreach ($result->crops as $crop) {
            foreach ($crop->grown ? $crop->heads ?? [] : [] as $head => $amount) {
                $heads[$head] = ($heads[$head] ?? 0.0) + $amount;
            }
            $cost += $crop->grown ? (float) $crop->cost : 0.0;
        }
        $per = $useful < self::NO_PLANTS ? null : $cost / $useful;

        return new BridgeStep($key, $known, $of, $cost, $useful, $per, $per === null
            || $before?->per_finished === null ? null : $per - $before->per_finished, $heads);
    }

    /** @return array{list<array{path: non-empty-list<string>, to: mixed}>, int, int} edits, things paid for, things on the shopping list */
    private function pricesPaid(): array
    {
        $sums = [];
        foreach ($this->purchases as $one) {
            $sums["{$one->kind} {$one->thing}"] ??= [0.0, 0];
            $sums["{$one->kind} {$one->thing}"][0] += $one->paid;
            $sums["{$one->kind} {$one->thing}"][1] += $one->packs;
        }
        $edits = [];
        $listed = [];
        foreach ($this->plan()->shopping as $line) {
            $listed["{$line->kind} {$line->id}"] = true;
        }
        foreach ($sums as $key => [$paid, $packs]) {
            [$kind, $id] = explode(' ', (string) $key, 2);
            $kind = ThingKind::tryFrom($kind);
            if ($kind === ThingKind::Trip) {
                $edits[] = ['path' => $kind->pricePath($id), 'to' => $paid];
            } elseif ($kind?->isIn($this->season, $id)) {
                $edits[] = ['path' => $kind->pricePath($id), 'to' => $paid / $packs];
            }
        }

        return [$edits, count(array_intersect_key($sums, $listed)), count($listed)];
    }

    /** Money for what was bought and is on no list of the set-up. */
    public function beside(): float
    {
        $listed = ['trip trip' => true];
        foreach ($this->plan()->shopping as $line) {
            $listed["{$line->kind} {$line->id}"] = true;
        }
        $beside = 0.0;
        foreach ($this->purchases as $one) {
            $has = ThingKind::tryFrom($one->kind)?->isIn($this->season, $one->thing) === true;
            $beside += isset($listed["{$one->kind} {$one->thing}"]) || $has ? 0.0 : $one->paid;
        }

        return $beside;
    }

    /** @return array{list<array{path: non-empty-list<string>, to: mixed}>, int, int} how much was sown and wetted; crops sown, crops grown */
    private function used(): array
    {
        $books = $this->planned->books($this->setup);
        $edits = [];
        $known = 0;
        foreach ($books->plans as $plan) {
            $facts = $this->log->crop($plan->crop->id);
            $amount = $plan->method->pattern === Pattern::Community ? ['seeds' => $facts->seeds] : ['sites' => $facts->sites];
            if (current($amount) > 0) {
                $known++;
                $edits[] = ['path' => ['crops', $plan->crop->id, 'sow'], 'to' => (object) ['method' => $plan->method->id, ...$amount]];
            }
        }
        [$said, $planned] = $this->wetted($books);
        if ($said > 0.0 && $planned > 0.0) {
            $edits[] = ['path' => ['mix_overage'], 'to' => max(0.0, (1.0 + $this->season->mixOverage) * $said / $planned - 1.0)];
        }

        return [$edits, $known, count($books->plans)];
    }

    /** @return array{float, float} litres that were wetted, and what the plan has for the same stages */
    private function wetted(SetupBooks $books): array
    {
        $said = $planned = 0.0;
        foreach ($this->log->entries as $entry) {
            if ($entry->kind !== LogKind::Done || $entry->amount === null || $entry->unit !== 'L') {
                continue;
            }
            $litres = $this->litresOf($books, $entry);
            $planned += $litres;
            $said += $litres > 0.0 ? $entry->amount : 0.0;
        }

        return [$said, $planned];
    }

    /** What the plan has for the stages that an entry says were wetted: a crop's own, or all of one mix on that day. */
    private function litresOf(SetupBooks $books, LogEntry $entry): float
    {
        $job = JobId::parse($entry->job);
        $mix = $job?->kind === TaskKind::Soak ? $job->thing : null;
        $litres = 0.0;
        foreach ($books->plans as $plan) {
            $sown = $this->log->crop($plan->crop->id)->sown_on;
            $late = $sown === null ? 0 : Day::parse($sown)->number - $plan->sowOn();
            foreach ($plan->stages as $i => $stage) {
                $isOwn = $job?->isOf($plan->crop->id, TaskKind::Soak, $i) === true;
                $isShared = $mix !== null && $mix === $stage->stage->mix && $stage->start + $late === $entry->on->number;
                if ($stage->fills() && $stage->stage->mix !== null && ($isOwn || $isShared)) {
                    $litres += $stage->mixLitres($this->season->mixOverage);
                }
            }
        }

        return $litres;
    }

    /** @return array{list<array{path: non-empty-list<string>, to: mixed}>, int, int} */
    private function power(): array
    {
        $edits = [];
        foreach ($this->measured as ['path' => $path, 'real' => $real]) {
            $edits[] = ['path' => $path, 'to' => $real];
        }

        return [$edits, count($edits), count($this->setup->lights) + count($this->setup->mats)];
    }

    /**
     * @param  callable(CropPlan, RowFacts): ?float  $known  useful plants by what is known; null as planned
     * @return array{float, int} useful plants of all, crops of which something is known
     */
    private function usefulBy(SetupBooks $books, callable $known): array
    {
        $sum = 0.0;
        $counted = 0;
        foreach ($books->plans as $plan) {
            $useful = $known($plan, $this->log->crop($plan->crop->id));
            $counted += $useful === null ? 0 : 1;
            $sum += $useful ?? $plan->sowing->finish->useful;
        }

        return [$sum, $counted];
    }

    /** Finished plants that somebody wants; while some still stand there, with those that stand, once planting out has begun. */
    private function usefulSoFar(CropPlan $plan, RowFacts $facts): ?float
    {
        if (self::isOver($facts)) {
            return (float) min($plan->crop->wanted, $facts->finished);
        }

        return $facts->finished > 0 ? (float) min($plan->crop->wanted, $facts->finished + (int) $facts->alive) : $this->usefulOnceUp($plan, $facts);
    }

    /** Expected once so many are up; null before it is counted. */
    private function usefulOnceUp(CropPlan $plan, RowFacts $facts): ?float
    {
        if ($facts->up === null) {
            return null;
        }
        $of = max(1, $plan->method->pattern === Pattern::Community ? $facts->seeds : $facts->up_of);
        $sowings = new TwoSowings($plan->sowing->chain, $plan->sowing->caps, $this->season->mishap, 0.0, array_map(floatval(...), range(0,
            $plan->crop->wanted)));

        return $plan->crop->wanted - $sowings->short($of, min($of, $facts->up), 0);
    }

    /** Nothing of it stands any more. */
    private static function isOver(RowFacts $facts): bool
    {
        return $facts->alive === 0 && $facts->gone + $facts->lost > 0;
    }

    /** @param  list<BridgeStep>  $steps */
    private function answer(array $steps, SetupBooks $books, SetupResult $result): CameTo
    {
        $wanted = $out = 0;
        $short = $hours = 0.0;
        $crops = $open = [];
        $isShort = false;
        $own = array_sum(array_map(fn ($crop): float => $crop->buy_cost === null ? 0.0 : (float) $crop->cost, $result->crops));
        foreach ($books->plans as $index => $plan) {
            $facts = $this->log->crop($plan->crop->id);
            $row = array_column($result->crops, null, 'id')[$plan->crop->id];
            $went = $facts->finished;
            $over = self::isOver($facts);
            $wanted += $plan->crop->wanted;
            $out += $went;
            $prices = $books->nursery->missing($plan->crop);
            $missing = $prices === null ? 0.0 : ($over ? $prices[max(0, $plan->crop->wanted - $went)] : $row->shortfallBought());
            $short += $missing;
            if ($row->buy_cost !== null) {
                $hours += (float) $row->hours;
                $over ? $isShort = $isShort || $missing > 0.0 : $open[] = $index;
            }
            $crops[] = ['crop' => $plan->crop->id, 'up' => $facts->up, 'of' => $facts->up_of, 'finished' => $over ? $went : null,
                'wanted' => $plan->crop->wanted];
        }

        // Plants that fail are bought on a trip of their own where nothing else is bought: sure, or as likely as one still has to be.
        $trip = $books->bought !== [] ? 0.0 : $books->season()->nurseryTripCost * ($isShort ? 1.0 : 1.0 - $books->together->allEnough($open));
        // With nothing finished nothing was saved, whatever the plan said.
        $isForNothing = $steps[count($steps) - 1]->per_finished === null;
        $kept = $result->buy_total === null || $isForNothing ? null : $result->buy_total - $own - $short - $trip - $this->beside();
        $hours *= (new EndOfSeason($books, $this->log))->hoursFactor();

        return new CameTo(
            setup: $this->setup->id,
            steps: $steps,
            wanted: $wanted,
            out: $out,
            nursery_per_plant: $result->nursery_per_plant,
            kept: $kept,
            wage: $kept !== null && $hours > 0.0 ? $kept / $hours : null,
            hours: $hours,
            losses: $this->losses(),
            crops: $crops,
            planned_stack: self::stack($steps[0]),
            real_stack: self::stack($steps[count($steps) - 1]),
            beside: $this->beside(),
            over: $this->log->isOver(),
        );
    }

    /** @return list<array{group: string, amount: float}> */
    private static function stack(BridgeStep $step): array
    {
        $groups = [];
        foreach ($step->heads as $head => $amount) {
            $group = Head::from($head)->group();
            $group === null ?: $groups[$group->value] = ($groups[$group->value] ?? 0.0) + $amount;
        }
        $scale = array_sum($groups) > 0.0 && $step->per_finished !== null ? $step->per_finished / array_sum($groups) : 0.0;
        $stack = [];
        foreach (HeadGroup::cases() as $group) {
            if (($groups[$group->value] ?? 0.0) > 0.0) {
                $stack[] = ['group' => $group->value, 'amount' => $groups[$group->value] * $scale];
            }
        }

        return $stack;
    }

    /** @return list<Loss> */
    private function losses(): array
    {
        $by = [];
        foreach ($this->log->entries as $entry) {
            if ($entry->kind === LogKind::Lost && $this->log->leftBy($entry) > 0) {
                self::lost($by, $entry->cause->value ?? 'other', $entry, $this->log->leftBy($entry));
            }
        }
        foreach ($this->season->crops as $crop) {
            $facts = $this->log->crop($crop->id);
            $last = array_values(array_filter($this->log->byCrop[$crop->id] ?? [], fn (LogEntry $entry): bool => $entry->kind === LogKind::Up));
            if ($facts->up !== null && $facts->up_of > $facts->up && $last !== []) {
                self::lost($by, 'not_up', $last[count($last) - 1], $facts->up_of - $facts->up);
            }
        }
        $losses = [];
        foreach ($by as $cause => $where) {
            $rows = array_values($where);
            usort($rows, fn (array $a, array $b): int => $b['count'] <=> $a['count']);
            $losses[] = new Loss($cause, array_sum(array_column($rows, 'count')), $rows);
        }
        usort($losses, fn (Loss $a, Loss $b): int => $b->count <=> $a->count);

        return $losses;
    }

    /** @param  array<string, array<string, array{crop: string, tray: ?string, week: string, count: int}>>  $by */
    private static function lost(array &$by, string $cause, LogEntry $entry, int $count): void
    {
        $week = Day::ofNumber((int) floor(($entry->on->number + self::MONDAY) / self::WEEK) * self::WEEK - self::MONDAY)->format();
        $key = "{$entry->crop} {$entry->tray} {$week}";
        $by[$cause][$key] ??= ['crop' => (string) $entry->crop, 'tray' => $entry->tray, 'week' => $week, 'count' => 0];
        $by[$cause][$key]['count'] += $count;
    }
}
