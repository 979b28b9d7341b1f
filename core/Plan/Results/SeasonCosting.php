<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\NurseryBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Books\SupplyUses;
use JollyPenny\Core\Plan\Planning\CropPlanner;
use JollyPenny\Core\Plan\Sowing\Known;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;
use WeakMap;

/** The costs of a season's set-ups. Plans and nursery baskets are made once for all of them. */
final readonly class SeasonCosting
{
    /** No plan of a crop reads these. */
    private const UNPLANNED = ['setups', 'nursery', 'electricity', 'supplies', 'mixes'];

    /** What a planned crop takes of the supplies changes with these. */
    private const SUPPLYING = ['mixes', 'feed', 'mix_overage'];

    /** Of these a plan depends on rows of its own alone. */
    private const ROWS_OF_A_PLAN = ['crops', 'methods', 'seed_lots'];

    private SeasonIndex $index;

    private CropPlanner $planner;

    private NurseryBook $nursery;

    private SupplyUses $uses;

    /** @var WeakMap<Setup, SetupResult> what has been reckoned already */
    private WeakMap $results;

    /**
     * @param  ?self  $like  of a season that has the same but for more lamps, mats and set-ups: plans and baskets are shared
     * @param  list<string|int>  $but  top keys of the file under which it has something else: only what they cannot change is shared
     * @param  Known  $known  answers from an earlier look
     */
    public function __construct(public Season $season, ?self $like = null, array $but = [], public Known $known = new Known())
    {
        $this->index = SeasonIndex::fromSeason($season);
        $this->planner = $like === null ? new CropPlanner($this->index, known: $known) : $this->planner($like, $but);
        $this->nursery = $like !== null && ! in_array('nursery', $but, true) ? $like->nursery : new NurseryBook($this->index);
        $this->uses = $like !== null && array_intersect($but, self::SUPPLYING) === [] ? $like->uses : new SupplyUses($this->index);
        $this->results = new WeakMap();
    }

    /** @param  list<string|int>  $but */
    private function planner(self $like, array $but): CropPlanner
    {
        $planned = array_values(array_unique(array_diff($but, self::UNPLANNED)));

        return match (true) {
            $planned === [] => $like->planner,
            array_diff($planned, self::ROWS_OF_A_PLAN) === [] => new CropPlanner($this->index, like: $like->planner),
            $like->season->mishap === $this->season->mishap => new CropPlanner($this->index, $like->planner->sower),
            default => new CropPlanner($this->index),
        };
    }

    public function books(Setup $setup): SetupBooks
    {
        return new SetupBooks($this->index, $setup, $this->planner, $this->nursery, $this->uses);
    }

    public function setup(Setup $setup): SetupResult
    {
        return $this->results[$setup] ??= SetupCosting::result($this->books($setup));
    }

    /** @return array{format: string, version: int, setups: list<SetupResult>} the result, as it is printed and sent */
    public function result(?string $setupId = null): array
    {
        $setups = array_filter($this->season->setups, fn (Setup $setup): bool => $setupId === null || $setup->id === $setupId);

        return ['format' => 'jolly-penny/result', 'version' => 1, 'setups' => array_map($this->setup(...), array_values($setups))];
    }
}
