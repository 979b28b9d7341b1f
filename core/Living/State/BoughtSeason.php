<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\State;

use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Supply;
use JollyPenny\Core\Season\Things\Trayware;

/** A season in which what was bought is there already: what it comes to at the till then is what is still to pay. */
final readonly class BoughtSeason
{
    /** @param  float  $paid  money for everything that was bought, also beside the plan */
    private function __construct(public Season $season, public float $paid)
    {
    }

    /** @param  list<Purchase>  $purchases */
    public static function withPurchases(Season $season, array $purchases): self
    {
        $packs = [];
        foreach ($purchases as $one) {
            $packs[$one->kind][$one->thing] = ($packs[$one->kind][$one->thing] ?? 0) + $one->packs;
        }
        $bought = fn (string $kind, string $id): int => $packs[$kind][$id] ?? 0;

        return new self($season->with(
            seedLots: array_map(fn (SeedLot $lot): SeedLot => $lot->with(packetsOwned: $lot->packetsOwned + $bought('seed', $lot->id)), $season->seedLots),
            supplies: array_map(
                fn (Supply $one): Supply => $one->with(inStock: $one->inStock + $bought('supply', $one->id) * $one->usablePerPack()),
                $season->supplies,
            ),
            containers: array_map(fn (Container $pot): Container => $pot->with(ownedUnits: $pot->ownedUnits + $bought('container', $pot->id) * $pot->unitsPerPack),
                $season->containers),
            trayware: array_map(fn (Trayware $tray): Trayware => $tray->with(ownedUnits: $tray->ownedUnits + $bought('trayware', $tray->id)), $season->trayware),
            lights: array_map(fn (Light $one): Light => $one->with(owned: $one->owned || $bought('light', $one->id) > 0), $season->lights),
            mats: array_map(fn (Mat $one): Mat => $one->with(owned: $one->owned || $bought('mat', $one->id) > 0), $season->mats),
            appliances: array_map(fn (Appliance $one): Appliance => $one->with(owned: $one->owned || $bought('appliance', $one->id) > 0), $season->appliances),
            gear: array_map(fn (Gear $one): Gear => $one->with(owned: $one->owned || $bought('gear', $one->id) > 0), $season->gear),
        ), (float) array_sum(array_column($purchases, 'paid')));
    }

    /** What a limit leaves to pay, of which so much was paid already. */
    public function left(float $limit): float
    {
        return $limit - $this->paid;
    }
}
