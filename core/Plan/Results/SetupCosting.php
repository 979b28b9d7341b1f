<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Energy\DailyLightIntegral;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Sowing\Finish;

/** A set-up's figures out of its books. Costing rules, section 8. */
final readonly class SetupCosting
{
    public static function result(SetupBooks $books): SetupResult
    {
        $season = $books->season();
        $account = new CropAccount($books);
        $crops = array_map($account->result(...), $season->crops);
        $heads = Head::none();
        foreach ($crops as $crop) {
            foreach ($crop->heads ?? [] as $head => $amount) {
                $heads[$head] += $amount;
            }
        }
        $cost = array_sum($heads);
        $grown = array_values(array_filter($crops, fn (CropResult $crop): bool => $crop->grown));
        $sum = fn (string $key): float => (float) array_sum(array_column($grown, $key));
        $hours = $sum('hours');
        $grownCost = $sum('cost');
        $fill = new FillingTheList($crops, $books);
        // Plants somebody wants, of all grown crops together.
        [$low, $high] = $books->together->useful([Finish::LOW, Finish::HIGH]);
        $crowding = Crowding::fromEnergy($books->energy());
        $shopping = ShoppingList::fromBooks($books);
        $lights = self::lights($books);

        return new SetupResult(
            id: $books->setup->id,
            cost: $cost,
            cost_with_time: $cost + $hours * $season->hourlyValue,
            cash_now: (float) array_sum(array_column($shopping, 'cost')),
            electricity_bill: array_sum(
                array_filter($heads, fn (string $head): bool => Head::from($head)->isElectricity(), ARRAY_FILTER_USE_KEY),
            ),
            hours: $hours,
            finished: $sum('finished'),
            useful: $sum('useful'),
            useful_low: $low,
            useful_high: $high,
            surplus: $sum('surplus'),
            per_finished: CropAccount::quotient($grownCost, $sum('useful')),
            per_finished_low: CropAccount::quotient($grownCost, $high),
            per_finished_high: CropAccount::quotient($grownCost, $low),
            per_raised: CropAccount::quotient($grownCost, $sum('finished')),
            p_all_enough: $grown === [] ? null : $books->together->allEnough(array_keys($books->plans)),
            fill_cost: $cost + $fill->filling,
            filled: $fill->filled,
            per_wanted: CropAccount::quotient($cost + $fill->filling, $fill->filled),
            missing: $fill->missing,
            buy_total: $fill->buyTotal,
            nursery_per_plant: $fill->buyTotal === null ? null : CropAccount::quotient($fill->buyTotal, $fill->plantsSupplied),
            same_per_plant: $fill->samePerPlant,
            keep: $fill->keep,
            p_keep: $fill->buyTotal === null ? null : ChanceToKeep::probability($books, $crops, $fill->buyTotal),
            income: $sum('income'),
            implied_wage: $fill->impliedWage,
            crowded_days: $crowding->days,
            heads: $heads,
            kwh: [
                'light' => $books->energy()->kwh[PlaceEnergy::LIGHT],
                'heat' => $books->energy()->kwh[PlaceEnergy::HEAT],
                'appliance' => $books->energy()->kwh[PlaceEnergy::APPLIANCE],
            ],
            places: $crowding->places,
            lights: $lights,
            shopping: $shopping,
            crops: $crops,
            warnings: self::warnings($crops),
        );
    }

    /** @return list<array{id: string, dli: ?float}> in the set-up's order */
    private static function lights(SetupBooks $books): array
    {
        return array_map(
            fn (string $id): array => ['id' => $id, 'dli' => DailyLightIntegral::forLight($books->index->lights[$id])],
            $books->setup->lights,
        );
    }

    /**
     * @param  list<CropResult>  $crops
     * @return list<array{code: string, crop: string, detail: ?string}>
     */
    private static function warnings(array $crops): array
    {
        $warnings = [];
        foreach ($crops as $crop) {
            foreach ($crop->warnings as $code) {
                $warnings[] = ['code' => $code, 'crop' => $crop->id, 'detail' => null];
            }
        }

        return $warnings;
    }
}
