<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use Closure;
use JollyPenny\Core\Living\Shed\Leftovers;
use JollyPenny\Core\Living\Shed\NextSeason;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Living\Shopping\ShoppingItem;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\ThingKind;

/**
 * The same limit in each of several seasons: what lasts is there in the next, and leaves the money to something else. Each season is the
 * best within the limit with what is there by then; all crops of the list are wanted anew.
 */
final readonly class BudgetYears
{
    public const MOST = 10;

    /**
     * @param  ?Closure(int, int): void  $progress  told how many choices are weighed, of those of all seasons where that is known
     * @return list<BudgetYear>
     */
    public static function plan(Season $season, string $setup, float $limit, int $seasons, ?Closure $progress = null, bool $forSeason = false): array
    {
        $years = [];
        $saved = 0.0;
        for ($n = 0; $n < $seasons; $n++) {
            $base = array_column($season->setups, null, 'id')[$setup];
            $found = (new Budget($season, $base, $limit, $progress, $forSeason))->result();
            $left = array_flip($found->left_out);
            $chosen = $base->with(overrides: $found->overrides, lights: $found->lights, mats: $found->mats,
                gear: $found->bare ? [] : $base->gear, appliances: $found->bare ? [] : $base->appliances);
            $kept = $season->with(crops: array_values(array_filter($season->crops, fn (Crop $crop): bool => ! isset($left[$crop->id]))), setups: [$chosen]);
            $costing = new SeasonCosting($kept);
            $books = $costing->books($chosen);
            $saved += $found->kept ? $costing->setup($chosen)->keep ?? 0.0 : 0.0;
            $lasting = [];
            foreach ($found->kept ? Shopping::fromBooks($books, [])->items : [] as $item) {
                if (self::lasts($item, $season)) {
                    $lasting[] = ['kind' => $item->kind, 'name' => $item->name, 'cost' => $item->planned];
                }
            }
            $years[] = new BudgetYear($season->year, $found, $lasting, $saved);
            if ($n + 1 < $seasons) {
                $next = NextSeason::begin((new SeasonWriter())->document($season), $found->kept ? Leftovers::fromBooks($books, []) : []);
                $season = (new SeasonReader())->readDocument($next);
            }
        }

        return $years;
    }

    private static function lasts(ShoppingItem $item, Season $season): bool
    {
        $pots = array_column($season->containers, null, 'id');

        $kind = ThingKind::from($item->kind);

        return $kind->lasts() && ! ($kind === ThingKind::Container && $pots[$item->id]->singleUse);
    }
}
