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

    public function __construct(private Season $season)
    {
    }

    /**
     * @param  list<string>  $crowding  crops that stand on over-full days
     * @return list<Relief>
     */
    public function of(Setup $setup, array $crowding): array
    {
        $costing = new SeasonCosting($this->season);
        $books = $costing->books($setup);
        $now = SetupTotals::of($books);
        $soundness = new Soundness($books);
        $reliefs = [];
        foreach ($this->season->crops as $crop) {
            if (! in_array($crop->id, $crowding, true)) {
                continue;
            }
            foreach ($this->offsets($crop, $books) as $by) {
                $offset = $crop->plantOutOffsetDays + $by;
                $moved = new SeasonCosting($this->season->withCrop($crop->with(plantOutOffsetDays: $offset)));
                $then = $moved->books($setup);
                $reliefs[] = ! $soundness->isSound($then) ? null : self::relief(
                    $now,
                    SetupTotals::of($then),
                    $by > 0 ? 'later' : 'earlier',
                    $crop->id,
                    abs($by),
                    ['path' => ['crops', $crop->id, 'plant_out_offset_days'], 'to' => $offset],
                );
            }
            foreach ($this->season->methods as $method) {
                if ($method->id !== $setup->methodFor($crop->id)) {
                    $then = $costing->books($setup->raising($crop->id, $method->id));
                    $reliefs[] = ! $soundness->isSound($then) ? null : self::relief($now, SetupTotals::of($then), 'smaller', $crop->id, null, [
                        'path' => ['setups', $setup->id, 'overrides', $crop->id],
                        'to' => $method->id,
                    ]);
                }
            }
        }
        $reliefs = array_values(array_filter($reliefs));
        usort($reliefs, fn (Relief $a, Relief $b): int => [$a->crowded_days, $a->cost] <=> [$b->crowded_days, $b->cost]);

        return array_slice($reliefs, 0, self::MOST);
    }

    /** @param  array{path: list<string>, to: string|int}  $change */
    private static function relief(SetupTotals $now, SetupTotals $then, string $kind, string $crop, ?int $days, array $change): ?Relief
    {
        // What loses a crop is no relief.
        return $then->crowdedDays < $now->crowdedDays && $then->supplied >= $now->supplied
            ? new Relief(
                $kind,
                $crop,
                $days,
                $days === null ? (string) $change['to'] : null,
                $then->fillCost - $now->fillCost,
                $then->crowdedDays,
                $change,
            )
            : null;
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
