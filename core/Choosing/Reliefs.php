<?php

declare(strict_types=1);

namespace JollyPenny\Core\Choosing;

use JollyPenny\Core\Costing\SeasonCosting;
use JollyPenny\Core\Costing\SetupBooks;
use JollyPenny\Core\Season\Crop;
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
        $now = SetupTotals::of($costing->books($setup));
        $reliefs = [];
        foreach ($this->season->crops as $crop) {
            if (! in_array($crop->id, $crowding, true)) {
                continue;
            }
            foreach ($this->moves($crop, $costing->books($setup)) as [$kind, $days, $moved]) {
                $reliefs[] = $this->relief($now, new SeasonCosting($this->season->growing(array_map(fn (Crop $row): Crop => $row->id === $crop->id ? $moved : $row, $this->season->crops))), $setup, $kind, $crop->id, $days, null);
            }
            foreach ($this->season->methods as $method) {
                if ($method->id !== $setup->methodFor($crop->id)) {
                    $reliefs[] = $this->relief($now, $costing, $setup->with($crop->id, $method->id), 'smaller', $crop->id, null, $method->id);
                }
            }
        }
        $reliefs = array_values(array_filter($reliefs));
        usort($reliefs, fn (Relief $a, Relief $b): int => [$a->crowded_days, $a->cost] <=> [$b->crowded_days, $b->cost]);

        return array_slice($reliefs, 0, self::MOST);
    }

    private function relief(SetupTotals $now, SeasonCosting $costing, Setup $setup, string $kind, string $crop, ?int $days, ?string $method): ?Relief
    {
        $then = SetupTotals::of($costing->books($setup));

        return $then->crowdedDays < $now->crowdedDays && $then->supplied >= $now->supplied
            ? new Relief($kind, $crop, $days, $method, $then->fillCost - $now->fillCost, $then->crowdedDays) : null;
    }

    /** @return list<array{string, int, Crop}> a later sowing; a hardy crop out earlier */
    private function moves(Crop $crop, SetupBooks $books): array
    {
        $plan = $books->plans[$books->grown[$crop->id] ?? -1] ?? null;
        $moves = [];
        foreach ($plan === null ? [] : self::DAYS as $days) {
            $moves[] = ['later', $days, $crop->plantedOut($crop->plantOutOffsetDays + $days)];
            if ($crop->plantOutOffsetDays < 0) {
                $moves[] = ['earlier', $days, $crop->plantedOut($crop->plantOutOffsetDays - $days)];
            }
        }

        return $moves;
    }
}
