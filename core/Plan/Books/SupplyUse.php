<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Per;
use JollyPenny\Core\Season\SeasonIndex;

/** What one crop takes of each supply under each head, and the mixing it asks for. Costing rules, section 7. */
final readonly class SupplyUse
{
    /**
     * @param  array<array-key, array<string, float>>  $amounts  by supply id and head, in the supply's unit
     */
    private function __construct(public array $amounts, public float $mixingMinutes, public float $mixingKwh)
    {
    }

    public static function forPlan(CropPlan $plan, SeasonIndex $index): self
    {
        $amounts = [];
        $add = function (string $supply, Head $head, float $amount) use (&$amounts): void {
            $amounts[$supply][$head->value] = ($amounts[$supply][$head->value] ?? 0.0) + $amount;
        };
        $minutes = $kwh = 0.0;
        $feed = $index->season->feed;
        foreach ($plan->stages as $stage) {
            $container = $stage->container;
            $rules = $stage->stage;
            if ($container !== null && $rules->mix !== null) {
                $litres = $stage->mixLitres($index->season->mixOverage);
                $mix = $index->mixes[$rules->mix] ?? null;
                if ($mix === null) {
                    $add($rules->mix, Head::Mix, $litres);
                } else {
                    $parts = array_sum(array_column($mix->parts, 'parts'));
                    foreach ($mix->parts as $part) {
                        $add($part->supply, Head::Mix, ($litres * $part->parts) / ($parts * (1.0 - $mix->shrinkage)));
                    }
                    foreach ($mix->additives as $additive) {
                        $add($additive->supply, Head::Mix, $litres * $additive->amountPerL);
                    }
                    $minutes += $litres * $mix->minutesPerL;
                    $kwh += $litres * $mix->kwhPerL;
                }
            }
            if ($container !== null && $rules->topDressing !== null) {
                $add($rules->topDressing->supply, Head::TopDressing, $stage->sites * $container->topAreaM2 * $rules->topDressing->depthMm);
            }
            if ($feed !== null && $rules->feedsPerWeek > 0.0) {
                $add(
                    $feed->supply,
                    Head::Feed,
                    self::feedLitres($stage->flats, $feed->litresPerFlat, $rules->feedsPerWeek, $stage->days()) * $feed->dosePerL,
                );
            }
        }
        self::extras($plan->method, $plan, $add);

        return new self($amounts, $minutes, $kwh);
    }

    /** Litres of solution over a stage. */
    public static function feedLitres(float $flats, float $litresPerFlat, float $feedsPerWeek, int $days): float
    {
        return ($flats * $litresPerFlat * $feedsPerWeek * $days) / 7;
    }

    /** @param  callable(string, Head, float): void  $add */
    private static function extras(Method $method, CropPlan $plan, callable $add): void
    {
        foreach ($method->extras as $extra) {
            $add(
                $extra->supply,
                Head::Extras,
                $extra->amount *
                    match ($extra->per) {
                        Per::Site => $plan->stages[0]->sites,
                        Per::Flat => $plan->stages[0]->flats,
                        Per::Crop => 1,
                    },
            );
        }
    }
}
