<?php

declare(strict_types=1);

namespace JollyPenny\Core\Costing;

use JollyPenny\Core\Calendar\StagePlan;
use JollyPenny\Core\Energy\PlaceEnergy;
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
            $failure !== null => new CropResult($crop->id, $method, false, [$failure->value], buy_cost: $basket?->cost, verdict: Verdict::BuyOnly->value),
            $basket === null => new CropResult($crop->id, Setup::NURSERY, false, [Warning::NoOffer->value]),
            default => $this->bought($crop, $basket),
        };
    }

    private function bought(Crop $crop, Basket $basket): CropResult
    {
        $cost = $basket->cost + $this->books->tripShare($crop);

        return new CropResult($crop->id, Setup::NURSERY, false, [], heads: [...Head::none(), Head::Nursery->value => $cost],
            cost: $cost, buy_cost: $basket->cost, hours: 0.0);
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
        $fill = $buying === null ? 0.0 : $sowing->shortfall * $buying / $plan->crop->wanted;
        $day = fn (int $number): string => Day::ofNumber($number)->format();

        return new CropResult(
            $plan->crop->id, $plan->method->id, true, $this->warnings($plan),
            $plan->crop->coldDays > 0 ? $day($plan->sowOn() - $plan->crop->coldDays) : null,
            $day($plan->sowOn()), $day($plan->plantOutOn()), $plan->g, $sowing->q, $sowing->seeds, $sowing->sites,
            $sowing->finished, $sowing->enough, $sowing->shortfall, $sowing->useful, $sowing->surplus,
            $heads, $cost, $sowing->useful < self::NO_PLANTS ? null : $cost / $sowing->useful, $extra, $buying,
            Verdict::of($cost + $fill, $extra + $fill, $buying)->value, Labour::hours($plan, $this->books->supplies->uses[$index]),
            array_map(fn (StagePlan $stage): StageResult => new StageResult($stage->stage->name, $day($stage->start), $day($stage->end),
                $stage->sites, $stage->flats, $this->books->energy->stageKwh($stage, PlaceEnergy::LIGHT),
                $this->books->energy->stageKwh($stage, PlaceEnergy::HEAT)), $plan->stages),
        );
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
