<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** What would make room on over-full days, each change costed with everything else as it is; the best first. */
final readonly class Reliefs
{
    private const DAYS = [7, 14];

    private const MOST = 6;

    /** So many crops are costed for all that is tried, as many times as a season has crops: of a long list the largest alone are tried. */
    private const WORK = 1200;

    public function __construct(private Season $season)
    {
    }

    /**
     * @param  list<string>  $crowding  crops that stand on over-full days
     * @return list<Relief>
     */
    public function forCrowding(Setup $setup, array $crowding): array
    {
        $costing = new SeasonCosting($this->season);
        $books = $costing->books($setup);
        $now = SetupTotals::fromBooks($books);
        $soundness = new Soundness($books);
        $reliefs = [];
        foreach ($this->tried($crowding, $books) as $crop) {
            array_push($reliefs,
                ...$this->otherDays($crop, $setup, $costing, $now, $soundness),
                ...$this->otherMethods($crop, $setup, $costing, $now, $soundness),
                ...$this->otherPlaces($crop, $setup, $costing, $now, $soundness));
        }
        usort($reliefs, fn (Relief $a, Relief $b): int => [$a->crowded_days, $a->cost] <=> [$b->crowded_days, $b->cost]);

        // Of one crop the best of its kind: five ways to sow the same are one answer.
        $best = [];
        foreach ($reliefs as $relief) {
            $best["{$relief->kind} {$relief->crop}"] ??= $relief;
        }

        return array_slice(array_values($best), 0, self::MOST);
    }

    /**
     * Of the crops on over-full days those that take most room, as many as can be tried while somebody waits.
     *
     * @param  list<string>  $crowding
     * @return list<Crop>
     */
    private function tried(array $crowding, SetupBooks $books): array
    {
        $room = fn (Crop $crop): float => isset($books->grown[$crop->id]) ? $books->plans[$books->grown[$crop->id]]->indoorFlatDays() : 0.0;
        $crops = array_values(array_filter($this->season->crops, fn (Crop $crop): bool => in_array($crop->id, $crowding, true)));
        usort($crops, fn (Crop $a, Crop $b): int => $room($b) <=> $room($a));

        return array_slice($crops, 0, max(self::MOST, intdiv(self::WORK, max(1, count($this->season->crops)))));
    }

    /** @return list<Relief> */
    private function otherDays(Crop $crop, Setup $setup, SeasonCosting $costing, SetupTotals $now, Soundness $soundness): array
    {
        $reliefs = [];
        foreach ($this->offsets($crop, $costing->books($setup)) as $by) {
            $offset = $crop->plantOutOffsetDays + $by;
            $then = (new SeasonCosting($this->season->withCrop($crop->with(plantOutOffsetDays: $offset)), $costing, ['crops']))->books($setup);
            $totals = self::relieves($then, $now, $soundness);
            $totals === null ?: $reliefs[] = new Relief($by > 0 ? 'later' : 'earlier', $crop->id, abs($by), null, $totals->fillCost - $now->fillCost,
                $totals->crowdedDays, [['path' => ['crops', $crop->id, 'plant_out_offset_days'], 'to' => $offset]]);
        }

        return $reliefs;
    }

    /** @return list<Relief> */
    private function otherMethods(Crop $crop, Setup $setup, SeasonCosting $costing, SetupTotals $now, Soundness $soundness): array
    {
        $reliefs = [];
        foreach ($this->season->methods as $method) {
            $totals = $method->id === $setup->methodFor($crop->id) ? null
                : self::relieves($costing->books($setup->raising($crop->id, $method->id)), $now, $soundness);
            $totals === null ?: $reliefs[] = new Relief('smaller', $crop->id, null, $method->id, $totals->fillCost - $now->fillCost, $totals->crowdedDays,
                [['path' => ['setups', $setup->id, 'overrides', $crop->id], 'to' => $method->id]]);
        }

        return $reliefs;
    }

    /** @return list<Relief> */
    private function otherPlaces(Crop $crop, Setup $setup, SeasonCosting $costing, SetupTotals $now, Soundness $soundness): array
    {
        $reliefs = [];
        foreach ((new Moves($costing->books($setup)))->forCrop($crop->id) as $move) {
            $then = (new SeasonCosting($move->season, $costing, ['methods']))->books($setup->raising($crop->id, $move->method));
            $totals = self::relieves($then, $now, $soundness);
            $totals === null ?: $reliefs[] = new Relief(
                kind: 'move',
                crop: $crop->id,
                days: null,
                method: null,
                cost: $totals->fillCost - $now->fillCost,
                crowded_days: $totals->crowdedDays,
                edits: $move->edits,
                place: $move->place,
                on: $move->on,
            );
        }

        return $reliefs;
    }

    /** What it comes to where it makes room soundly; what loses a crop is no relief. */
    private static function relieves(SetupBooks $then, SetupTotals $now, Soundness $soundness): ?SetupTotals
    {
        if (! $soundness->isSound($then)) {
            return null;
        }
        $totals = SetupTotals::fromBooks($then);

        return $totals->crowdedDays < $now->crowdedDays && $totals->supplied >= $now->supplied ? $totals : null;
    }

    /** @return list<int> days by which it could go out later; a hardy crop earlier too */
    private function offsets(Crop $crop, SetupBooks $books): array
    {
        $offsets = [];
        foreach (isset($books->grown[$crop->id]) ? self::DAYS : [] as $days) {
            $offsets[] = $days;
            if ($crop->plantOutOffsetDays < 0) {
                $offsets[] = -$days;
            }
        }

        return $offsets;
    }
}
