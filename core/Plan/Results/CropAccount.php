<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\Basket;
use JollyPenny\Core\Plan\Books\Book;
use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\Labour;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Energy\DailyLightIntegral;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Planning\Frost;
use JollyPenny\Core\Plan\Planning\Warning;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Setup;

/** One crop's line of the result, out of the set-up's books. */
final readonly class CropAccount
{
    /** Fewer plants than this are none to divide by. */
    private const NO_PLANTS = 1e-6;

    public function __construct(private SetupBooks $books)
    {
    }

    public function result(Crop $crop): CropResult
    {
        $method = $this->books->setup->methodFor($crop->id);
        $basket = $this->books->nursery->basket($crop);
        $failure = $this->books->failed[$crop->id] ?? null;

        return match (true) {
            isset($this->books->grown[$crop->id]) => $this->grown($this->books->grown[$crop->id], $basket?->cost),
            $failure !== null => new CropResult(
                $crop->id,
                $method,
                grown: false,
                warnings: [$failure->value],
                buy_cost: $basket?->cost,
                verdict: Verdict::BuyOnly->value,
                wanted: $crop->wanted,
            ),
            $basket === null => new CropResult(
                $crop->id,
                Setup::NURSERY,
                grown: false,
                warnings: [Warning::NoOffer->value],
                wanted: $crop->wanted,
            ),
            default => $this->bought($crop, $basket),
        };
    }

    private function bought(Crop $crop, Basket $basket): CropResult
    {
        $cost = $basket->cost + $this->books->tripShare($crop);

        return new CropResult(
            $crop->id,
            Setup::NURSERY,
            grown: false,
            warnings: [],
            heads: [...Head::none(), Head::Nursery->value => $cost],
            cost: $cost,
            buy_cost: $basket->cost,
            hours: 0.0,
            wanted: $crop->wanted,
        );
    }

    private function grown(int $index, ?float $buying): CropResult
    {
        $plan = $this->books->plans[$index];
        $sowing = $plan->sowing;
        $books = $this->books->all();
        $heads = Head::together(array_map(fn (Book $book): array => $book->heads($index), $books));
        $cost = array_sum($heads);
        $extra = array_sum(array_map(fn (Book $book): float => $book->saved($index), $books));
        $short = $this->books->nursery->shortfall($plan);
        $finish = $sowing->finish;

        return new CropResult(
            id: $plan->crop->id,
            method: $plan->method->id,
            grown: true,
            warnings: $this->warnings($plan),
            cold_on: $plan->coldOn() === null ? null : self::day($plan->coldOn()),
            late_days: $plan->lateDays,
            p_frost: Frost::chance($plan, $this->books->season()),
            sow_on: self::day($plan->sowOn()),
            plant_out_on: self::day($plan->plantOutOn()),
            g: $plan->g,
            q: $sowing->q,
            seeds: $sowing->seeds,
            sites: $sowing->sites,
            finished: $finish->mean,
            p_enough: $finish->enough,
            shortfall: $finish->shortfall(),
            shortfall_cost: $short,
            useful: $finish->useful,
            useful_low: $finish->usefulLow,
            useful_high: $finish->usefulHigh,
            surplus: $finish->surplus(),
            heads: $heads,
            cost: $cost,
            per_finished: self::quotient($cost, $finish->useful),
            per_finished_low: self::quotient($cost, $finish->usefulHigh),
            per_finished_high: self::quotient($cost, $finish->usefulLow),
            extra_cost: $extra,
            buy_cost: $buying,
            verdict: Verdict::forCost($cost + (float) $short, $extra + (float) $short, $buying)->value,
            income: self::income($plan),
            hours: Labour::hours($plan, $this->books->supplies->uses[$index]),
            stages: array_map($this->stage(...), $plan->stages),
            wanted: $plan->crop->wanted,
        );
    }

    /** Money for that, by plants; null for none to speak of. */
    public static function quotient(float $amount, float $plants): ?float
    {
        return $plants < self::NO_PLANTS ? null : $amount / $plants;
    }

    /** Money for plants sold, on average: those that are left when one's own and those given away are there. */
    private static function income(CropPlan $plan): float
    {
        $split = $plan->crop->split;

        return $split === null ? 0.0 : $plan->crop->salePrice * $plan->sowing->finish->expected(
            fn (int $finished): float => min(max(0, $finished - $split->keep - $split->give), $split->sell),
        );
    }

    private function stage(StagePlan $stage): StageResult
    {
        return new StageResult(
            name: $stage->stage->name,
            start: self::day($stage->start),
            end: self::day($stage->end),
            sites: $stage->sites,
            flats: $stage->flats,
            light_kwh: $this->books->energy()->stageKwh($stage, PlaceEnergy::LIGHT),
            heat_kwh: $this->books->energy()->stageKwh($stage, PlaceEnergy::HEAT),
        );
    }

    private static function day(int $number): string
    {
        return Day::ofNumber($number)->format();
    }

    /** @return list<string> each code once, in the order in which they are told */
    public function warnings(CropPlan $plan): array
    {
        $told = [
            Warning::Frost->value => $plan->frost,
            Warning::NoLight->value => false,
            Warning::NoMat->value => false,
            Warning::Late->value => $plan->lateDays > 0,
            Warning::Dim->value => false,
            Warning::Small->value => $plan->standsTooSmall(),
        ];
        foreach ($plan->stages as $i => $stage) {
            $energy = $this->books->energy()->places[$stage->place->id] ?? null;
            $told[Warning::NoLight->value] = $told[Warning::NoLight->value] || ($stage->stage->light && $energy?->lit($stage) !== true);
            $told[Warning::NoMat->value] = $told[Warning::NoMat->value] || ($stage->stage->mat && $energy?->warmed($stage) !== true);
            $dose = $i === 0 ? null : $energy?->dose($stage);
            $told[Warning::Dim->value] = $told[Warning::Dim->value] || ($dose !== null && DailyLightIntegral::isDim($dose));
        }

        return array_keys(array_filter($told));
    }
}
