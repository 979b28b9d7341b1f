<?php

declare(strict_types=1);

namespace JollyPenny\Core\Results;

use JollyPenny\Core\Books\Head;
use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Energy\DailyLightIntegral;
use JollyPenny\Core\Energy\PlaceEnergy;
use JollyPenny\Core\Planning\Warning;

/** A set-up's figures out of its books. Costing rules, section 8. */
final readonly class SetupCosting
{
    public static function of(SetupBooks $books): SetupResult
    {
        $season = $books->season();
        $account = new CropAccount($books);
        $crops = array_map($account->of(...), $season->crops);
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
        $fill = new FillingTheList($crops, $season);
        $crowding = Crowding::of($books->energy);
        $shopping = ShoppingList::of($books);
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
            surplus: $sum('surplus'),
            per_finished: self::quotient($grownCost, $sum('useful')),
            per_raised: self::quotient($grownCost, $sum('finished')),
            p_all_enough: $grown === [] ? null : (float) array_product(array_column($grown, 'p_enough')),
            fill_cost: $cost + $fill->shortfallBought,
            filled: $fill->filled,
            per_wanted: self::quotient($cost + $fill->shortfallBought, $fill->filled),
            missing: $fill->missing,
            buy_total: $fill->buyTotal,
            nursery_per_plant: $fill->buyTotal === null ? null : self::quotient($fill->buyTotal, $fill->plantsSupplied),
            keep: $fill->keep,
            implied_wage: $fill->impliedWage,
            crowded_days: $crowding->days,
            heads: $heads,
            kwh: [
                'light' => $books->energy->kwh[PlaceEnergy::LIGHT],
                'heat' => $books->energy->kwh[PlaceEnergy::HEAT],
                'appliance' => $books->energy->kwh[PlaceEnergy::APPLIANCE],
            ],
            places: $crowding->places,
            lights: $lights,
            shopping: $shopping,
            crops: $crops,
            warnings: self::warnings($crops, $lights),
        );
    }

    /** @return list<array{id: string, dli: ?float}> in the set-up's order */
    private static function lights(SetupBooks $books): array
    {
        return array_map(
            fn (string $id): array => ['id' => $id, 'dli' => DailyLightIntegral::of($books->index->lights[$id])],
            $books->setup->lights,
        );
    }

    /**
     * @param  list<CropResult>  $crops
     * @param  list<array{id: string, dli: ?float}>  $lights
     * @return list<array{code: string, crop: ?string, detail: ?string}>
     */
    private static function warnings(array $crops, array $lights): array
    {
        $warnings = [];
        foreach ($crops as $crop) {
            foreach (Warning::cases() as $warning) {
                if (in_array($warning->value, $crop->warnings, true)) {
                    $warnings[] = ['code' => $warning->value, 'crop' => $crop->id, 'detail' => null];
                }
            }
        }
        foreach ($lights as $light) {
            if ($light['dli'] !== null && $light['dli'] < DailyLightIntegral::DIM) {
                $warnings[] = ['code' => Warning::Dim->value, 'crop' => null, 'detail' => $light['id']];
            }
        }

        return $warnings;
    }

    private static function quotient(float $amount, float $plants): ?float
    {
        return $plants < CropAccount::NO_PLANTS ? null : $amount / $plants;
    }
}
