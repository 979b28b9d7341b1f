<?php

declare(strict_types=1);

namespace JollyPenny\Core\Results;

use JollyPenny\Core\Books\NurseryBook;
use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Planning\CropPlanner;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;
use WeakMap;

/** The costs of a season's set-ups. Plans and nursery baskets are made once for all of them. */
final readonly class SeasonCosting
{
    private SeasonIndex $index;

    private CropPlanner $planner;

    private NurseryBook $nursery;

    /** @var WeakMap<Setup, SetupResult> what has been reckoned already */
    private WeakMap $results;

    /** @param  ?self  $like  of a season that has the same but for more lamps, mats and set-ups: plans and baskets are shared */
    public function __construct(public Season $season, ?self $like = null)
    {
        $this->index = SeasonIndex::of($season);
        $this->planner = $like->planner ?? new CropPlanner($this->index);
        $this->nursery = $like->nursery ?? new NurseryBook($this->index);
        $this->results = new WeakMap();
    }

    public function books(Setup $setup): SetupBooks
    {
        return new SetupBooks($this->index, $setup, $this->planner, $this->nursery);
    }

    public function setup(Setup $setup): SetupResult
    {
        return $this->results[$setup] ??= SetupCosting::of($this->books($setup));
    }

    /** @return array{format: string, version: int, setups: list<SetupResult>} the result, as it is printed and sent */
    public function result(?string $setupId = null): array
    {
        $setups = array_filter($this->season->setups, fn (Setup $setup): bool => $setupId === null || $setup->id === $setupId);

        return ['format' => 'jolly-penny/result', 'version' => 1, 'setups' => array_map($this->setup(...), array_values($setups))];
    }
}
