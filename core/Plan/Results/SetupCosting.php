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
        $crops = array_map((new CropAccount($books))->result(...), $books->season()->crops);
        $heads = Head::together(array_map(fn (CropResult $crop): array => $crop->heads ?? [], $crops));
        $cost = array_sum($heads);
        $grown = array_values(array_filter($crops, fn (CropResult $crop): bool => $crop->grown));
        $sum = fn (string $key): float => (float) array_sum(array_column($grown, $key));
        $fill = new FillingTheList($crops, $books);
        [$usefulLow, $usefulHigh] = $books->together->useful([Finish::LOW, Finish::HIGH]);
        $crowding = Crowding::fromEnergy($books->energy());
        $shopping = ShoppingList::fromBooks($books);

        return new SetupResult(
            id: $books->setup->id,
            cost: $cost,
            cost_with_time: $cost + $sum('hours') * $books->season()->hourlyValue,
            cash_now: (float) array_sum(array_column($shopping, 'cost')),
            electricity_bill: self::electricityBill($heads),
            hours: $sum('hours'),
            finished: $sum('finished'),
            useful: $sum('useful'),
            useful_low: $usefulLow,
            useful_high: $usefulHigh,
            surplus: $sum('surplus'),
            per_finished: CropAccount::quotient($sum('cost'), $sum('useful')),
            per_finished_low: CropAccount::quotient($sum('cost'), $usefulHigh),
            per_finished_high: CropAccount::quotient($sum('cost'), $usefulLow),
            per_raised: CropAccount::quotient($sum('cost'), $sum('finished')),
            p_all_enough: $grown === [] ? null : $books->together->allEnough(array_keys($books->plans)),
            fill_cost: $cost + $fill->filling,
            filled: $fill->filled,
            per_wanted: CropAccount::quotient($cost + $fill->filling, $fill->filled),
            missing: $fill->missing,
            buy_total: $fill->buyTotal,
            nursery_per_plant: $fill->nurseryPerPlant,
            same_per_plant: $fill->samePerPlant,
            keep: $fill->keep,
            p_keep: $fill->buyTotal === null ? null : ChanceToKeep::probability($books, $crops, $fill->buyTotal),
            income: $sum('income'),
            implied_wage: $fill->impliedWage,
            crowded_days: $crowding->days,
            heads: $heads,
            kwh: self::kwh($books),
            places: $crowding->places,
            lights: self::lights($books),
            shopping: $shopping,
            crops: $crops,
            warnings: self::warnings($crops),
        );
    }

    /** @param  array<string, float>  $heads */
    private static function electricityBill(array $heads): float
    {
        return array_sum(array_filter($heads, fn (string $head): bool => Head::from($head)->isElectricity(), ARRAY_FILTER_USE_KEY));
    }

    /** @return array{light: float, heat: float, appliance: float} of the whole season */
    private static function kwh(SetupBooks $books): array
    {
        $kwh = $books->energy()->kwh;

        return ['light' => $kwh[PlaceEnergy::LIGHT], 'heat' => $kwh[PlaceEnergy::HEAT], 'appliance' => $kwh[PlaceEnergy::APPLIANCE]];
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
