<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Container;

/** What one site of a container costs, filled once: its share of the pot over its life, the mix, the washing. */
final readonly class Filling
{
    /** For the flimsy beside the durable. */
    private const SEASONS = 5;

    /**
     * @param  float  $pot  money for the site's share of a season
     * @param  float  $mix  money for the mix in it
     * @param  float  $wash  money for washing and holing
     * @param  float  $cost  money for all three
     * @param  ?string  $mix_id  mix or supply it is filled with; null where no method says
     * @param  float  $five_seasons  money for the site's pots over five seasons, bought again as they go
     * @param  int  $per_flat  sites on a flat
     */
    private function __construct(
        public string $id,
        public float $pot,
        public float $mix,
        public float $wash,
        public float $cost,
        public ?string $mix_id,
        public float $five_seasons,
        public int $per_flat,
        public float $litres,
    ) {
    }

    /** @param  float  $mixPerL  money for a litre of what it is filled with */
    public static function forContainer(Container $container, Season $season, ?string $mix, float $mixPerL, float $fill): self
    {
        $sites = $container->sitesPerUnit;
        $each = $container->unitPrice() / $sites;
        $pot = $container->singleUse ? $each : CapitalRecovery::share($each, $container->lifeSeasons, $season->discountRate);
        $bought = $container->singleUse ? self::SEASONS : (int) ceil(self::SEASONS / max(1.0, $container->lifeSeasons) - 1e-6);

        $mixed = $container->volumeL * $fill * (1.0 + $season->mixOverage) * $mixPerL;
        $wash = $container->prepCostPerUnit / $sites;

        return new self(
            id: $container->id,
            pot: $pot,
            mix: $mixed,
            wash: $wash,
            cost: $pot + $mixed + $wash,
            mix_id: $mix,
            five_seasons: $bought * $each,
            per_flat: (int) round($sites / $container->flatsPerUnit),
            litres: $container->volumeL,
        );
    }
}
