<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\PlaceResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Years\YearsCosting;

/** What to do, from the set-up that stands first: grow these, buy those. */
final readonly class Advice
{
    /** Seasons in which what was bought may have paid for itself. */
    private const SEASONS = 10;

    /**
     * @param  ?Fitted  $fitted  what has to be added to it; null where it has room as it is
     * @param  list<string>  $grow  crops
     * @param  list<string>  $along  crops that pay only because the bench is running anyway
     * @param  list<string>  $buy  crops it buys, or would do better to
     * @param  ?float  $per_finished  cost per finished seedling, with its range of most seasons
     * @param  ?float  $same  cost of one of the plants that are sold too, raised
     * @param  ?float  $nursery  the same plant bought
     * @param  float  $cost  money to fill the list
     * @param  ?float  $saves  money against buying the same plants; null where it grows nothing that one could buy
     * @param  ?float  $buying  money for buying the same plants
     * @param  ?float  $p_keep  chance that it saves anything
     * @param  bool  $qualifies  supplies the list, with light, warmth and room for all of it
     * @param  float  $missing  plants
     * @param  list<string>  $no_room  crops that nobody sells, on a bench that is over-full whatever else is bought or sown in the bed
     * @param  ?int  $payback_season  in which no more has been paid at the till than for buying; null where it has not within ten
     */
    private function __construct(
        public string $setup,
        public ?Fitted $fitted,
        public array $grow,
        public array $along,
        public array $buy,
        public ?float $per_finished,
        public ?float $per_finished_low,
        public ?float $per_finished_high,
        public ?float $same,
        public ?float $nursery,
        public float $cost,
        public ?float $saves,
        public ?float $buying,
        public ?float $p_keep,
        public bool $qualifies,
        public float $missing,
        public array $no_room,
        public ?int $payback_season,
    ) {
    }

    public static function fromStanding(Standing $standing, string $id, ?Fitted $fitted): self
    {
        $result = $standing->result;
        $with = fn (string ...$verdicts): array => array_column(
            array_filter($result->crops, fn (CropResult $crop): bool => in_array($crop->verdict, $verdicts, true)),
            'id',
        );
        $bought = array_column(array_filter($result->crops, fn (CropResult $crop): bool => ! $crop->grown && $crop->cost !== null), 'id');
        $growsWhatIsSold = self::growsWhatIsSold($result);

        return new self(
            setup: $id,
            fitted: $standing->isFitted ? $fitted : null,
            grow: $with('grow', 'grow_only'),
            along: $with('grow_along'),
            buy: [...$with('buy', 'buy_only'), ...$bought],
            per_finished: $result->per_finished,
            per_finished_low: $result->per_finished_low,
            per_finished_high: $result->per_finished_high,
            same: $result->same_per_plant,
            nursery: $result->nursery_per_plant,
            cost: $result->fill_cost,
            saves: $growsWhatIsSold ? $result->keep : null,
            buying: $growsWhatIsSold && $result->keep !== null ? $result->fill_cost + $result->keep : null,
            p_keep: $growsWhatIsSold ? $result->p_keep : null,
            qualifies: $standing->qualifies(),
            missing: $result->missing,
            no_room: self::noRoom($standing),
            payback_season: $growsWhatIsSold ? self::payback($standing) : null,
        );
    }

    /** @return list<string> */
    private static function noRoom(Standing $standing): array
    {
        if ($standing->hasRoom()) {
            return [];
        }
        $full = array_column(array_filter($standing->result->places, fn (PlaceResult $place): bool => $place->over_days > 0), 'id');
        $unsold = array_column(array_filter($standing->result->crops, fn (CropResult $crop): bool => $crop->grown && $crop->buy_cost === null), 'id');
        $crops = [];
        foreach ($standing->costing->books($standing->setup)->plans as $plan) {
            $places = array_map(fn (StagePlan $stage): string => $stage->place->id, $plan->stages);
            if (in_array($plan->crop->id, $unsold, true) && array_intersect($places, $full) !== []) {
                $crops[] = $plan->crop->id;
            }
        }

        return $crops;
    }

    private static function payback(Standing $standing): ?int
    {
        return (new YearsCosting($standing->costing->season, self::SEASONS, costing: $standing->costing))->setup($standing->setup)->till_payback_season;
    }

    private static function growsWhatIsSold(SetupResult $result): bool
    {
        foreach ($result->crops as $crop) {
            if ($crop->grown && $crop->buy_cost !== null) {
                return true;
            }
        }

        return false;
    }
}
