<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Raising;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Day;

/**
 * How long a plant may stand in its cell or pot, by its litres and what it is: 28 days in a cell of 0.03 L, and with the cube root of the
 * litres more, since roots fill a space. Common practice, no source.
 */
final readonly class StandingTime
{
    private const DAYS = 28.0;

    private const LITRES = 0.03;

    /** A week more is nobody's fault, days. */
    private const LEEWAY = 7;

    private const POWER = 1 / 3;

    /** Squash is through its pot in no time; onions and herbs bear to be crowded. */
    private const PATIENCE = ['root' => 0.7, 'bed' => 0.8, 'pot' => 0.7, 'cool' => 1.0, 'heat' => 1.15,
        'potted' => 1.0, 'cell' => 1.0, 'clump' => 1.6, 'blanket' => 1.6];

    /** @return list<ContainerStay> of each filling whose volume is known */
    public static function forPlan(CropPlan $plan, Raising $raising): array
    {
        $stays = [];
        foreach ($plan->stages as $i => $stage) {
            $litres = ($stage->container->volumeL ?? 0.0) * $stage->stage->fill;
            if (! $stage->fills() || $stage->container === null || $litres <= 0.0) {
                continue;
            }
            $from = $i === 0 ? $plan->sown->up : $stage->start;
            $until = $plan->plantOutOn();
            for ($next = count($plan->stages) - 1; $next > $i; $next--) {
                $until = $plan->stages[$next]->fills() ? $plan->stages[$next]->start : $until;
            }
            $most = (int) round(self::DAYS * self::PATIENCE[$raising->value] * ($litres / self::plants($plan, $i) / self::LITRES) ** self::POWER);
            $stays[] = new ContainerStay($plan->crop->id, $i, $stage->container->name, max(0, $until - $from), $most, Day::ofNumber($from + $most)->format(),
                $until - $from > $most + self::LEEWAY);
        }

        return $stays;
    }

    /** @return list<ContainerStay> of all that is raised and that the catalogue knows */
    public static function all(SetupBooks $books): array
    {
        $catalogue = new Catalogue;
        $stays = [];
        foreach ($books->plans as $plan) {
            $facts = $catalogue->recognise(SeasonDraft::kinIn($plan->species->meta), $plan->species->name);
            array_push($stays, ...$facts === null ? [] : self::forPlan($plan, $facts->raising));
        }

        return $stays;
    }

    /** Plants that share one filling; a clump that stays together counts as one. */
    private static function plants(CropPlan $plan, int $stage): float
    {
        $isThick = $stage === 0 && $plan->method->pattern === Pattern::Community;

        return max(1.0, $isThick ? $plan->sowing->seeds * $plan->g / max(1, $plan->sowing->sites) : (float) $plan->stages[$stage]->stage->plantsPerSite);
    }
}
