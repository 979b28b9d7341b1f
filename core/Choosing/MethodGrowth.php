<?php

declare(strict_types=1);

namespace JollyPenny\Core\Choosing;

use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** How the cost of one finished plant grows as a method's stages are added, for one crop with everything else as it is. */
final readonly class MethodGrowth
{
    public function __construct(private Season $season)
    {
    }

    /**
     * @return list<array{stage: string, per_finished: ?float, cost: ?float, hours: ?float, sites: ?int}> after each stage
     */
    public function of(Setup $setup, string $method, string $crop): array
    {
        $growth = [];
        $whole = array_column($this->season->methods, null, 'id')[$method];
        foreach ($whole->stages as $i => $stage) {
            $short = $this->season->withMethod($whole->with(stages: array_slice($whole->stages, 0, $i + 1)));
            $line = array_column((new SeasonCosting($short))->setup($setup->raising($crop, $method))->crops, null, 'id')[$crop];
            $growth[] = ['stage' => $stage->name, 'per_finished' => $line->per_finished, 'cost' => $line->cost, 'hours' => $line->hours,
                'sites' => $line->stages[$i]->sites ?? null];
        }

        return $growth;
    }

    /** @return list<string> set-ups in which some crop is raised so */
    public static function usedBy(Season $season, string $method): array
    {
        $users = array_filter($season->setups, function (Setup $setup) use ($season, $method): bool {
            return in_array($method, array_map(fn (Crop $crop): string => $setup->methodFor($crop->id), $season->crops), true);
        });

        return array_column($users, 'id');
    }

    /** The crop to show a method by: the first that the set-up raises so, else the first of the list. */
    public static function example(Season $season, Setup $setup, string $method): ?string
    {
        foreach ($season->crops as $crop) {
            if ($setup->methodFor($crop->id) === $method) {
                return $crop->id;
            }
        }

        return $season->crops[0]->id ?? null;
    }
}
