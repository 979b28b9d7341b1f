<?php

declare(strict_types=1);

namespace JollyPenny\Core\Results;

use JollyPenny\Core\Books\Basket;
use JollyPenny\Core\Books\Head;
use JollyPenny\Core\Books\Labour;
use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Calendar\StagePlan;
use JollyPenny\Core\Energy\PlaceEnergy;
use JollyPenny\Core\Planning\CropPlan;
use JollyPenny\Core\Planning\Warning;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Setup;

/** One crop's line of the result, out of the set-up's books. */
final readonly class CropAccount
{
    /** Fewer plants than this are none to divide by. */
    public const NO_PLANTS = 1e-6;

    public function __construct(private SetupBooks $books)
    {
    }

    public function of(Crop $crop): CropResult
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
        $heads = Head::none();
        $extra = 0.0;
        foreach ($this->books->all() as $book) {
            foreach ($book->heads($index) as $head => $amount) {
                $heads[$head] += $amount;
            }
            $extra += $book->saved($index);
        }
        $cost = array_sum($heads);
        $short = $this->books->shortfallCost($index);

        return new CropResult(
            id: $plan->crop->id,
            method: $plan->method->id,
            grown: true,
            warnings: $this->warnings($plan),
            cold_on: $plan->crop->coldDays > 0 ? self::day($plan->sowOn() - $plan->crop->coldDays) : null,
            sow_on: self::day($plan->sowOn()),
            plant_out_on: self::day($plan->plantOutOn()),
            g: $plan->g,
            q: $sowing->q,
            seeds: $sowing->seeds,
            sites: $sowing->sites,
            finished: $sowing->finished,
            p_enough: $sowing->enough,
            shortfall: $sowing->shortfall,
            useful: $sowing->useful,
            surplus: $sowing->surplus,
            heads: $heads,
            cost: $cost,
            per_finished: $sowing->useful < self::NO_PLANTS ? null : $cost / $sowing->useful,
            extra_cost: $extra,
            buy_cost: $buying,
            verdict: Verdict::of($cost + $short, $extra + $short, $buying)->value,
            hours: Labour::hours($plan, $this->books->supplies->uses[$index]),
            stages: array_map($this->stage(...), $plan->stages),
            wanted: $plan->crop->wanted,
            shortfallCost: $short,
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
            light_kwh: $this->books->energy->stageKwh($stage, PlaceEnergy::LIGHT),
            heat_kwh: $this->books->energy->stageKwh($stage, PlaceEnergy::HEAT),
        );
    }

    private static function day(int $number): string
    {
        return Day::ofNumber($number)->format();
    }

    /** @return list<string> each code once, by name */
    private function warnings(CropPlan $plan): array
    {
        $codes = [];
        foreach ($plan->stages as $stage) {
            $energy = $this->books->energy->places[$stage->place->id] ?? null;
            if ($stage->stage->light && $energy?->lit($stage) !== true) {
                $codes[] = Warning::NoLight->value;
            }
            if ($stage->stage->mat && $energy?->warmed($stage) !== true) {
                $codes[] = Warning::NoMat->value;
            }
        }
        if ($plan->late) {
            $codes[] = Warning::Late->value;
        }
        $codes = array_unique($codes);
        sort($codes);

        return $codes;
    }
}
