<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Cautions;

use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Mix;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Container;

/** The cautions that belong to raising a crop in a set-up, the gravest first. */
final readonly class CautionsFor
{
    public function __construct(private Season $season, private Catalogue $catalogue = new Catalogue)
    {
    }

    /** @return list<Caution> */
    public function crop(Setup $setup, Crop $crop): array
    {
        $method = array_column($this->season->methods, null, 'id')[$setup->methodFor($crop->id)] ?? null;
        $found = $method === null ? [] : $this->method($setup, $method);
        array_push($found, ...$this->seed($crop));
        if (($crop->split->sell ?? 0) > 0) {
            $found[] = Caution::Selling;
        }

        return self::once($found);
    }

    /** @return list<Caution> */
    private function method(Setup $setup, Method $method): array
    {
        return self::once(array_merge(...array_map(fn (Stage $stage): array => $this->stage($setup, $stage), $method->stages)));
    }

    /** @return list<Caution> what belongs to one stage's work */
    public function stage(Setup $setup, Stage $stage): array
    {
        $container = $stage->container === null ? null : array_column($this->season->containers, null, 'id')[$stage->container];
        $mix = $stage->mix === null ? null : array_column($this->season->mixes, null, 'id')[$stage->mix] ?? null;
        $found = array_keys(array_filter([
            Caution::Electricity->value => ($stage->light && $setup->lights !== []) || ($stage->mat && $setup->mats !== []),
            Caution::Fire->value => $stage->mat && $setup->mats !== [],
            Caution::Mercury->value => $stage->light && $this->hasLamp($setup, '/tube|fluoresc/i'),
            Caution::LampBox->value => $stage->light && $this->hasLamp($setup, '/lamp box|box of lamps|tote/i'),
            Caution::Refrigerator->value => $stage->mat && $this->cools($setup),
            Caution::BoilingWater->value => ($mix->kwhPerL ?? 0.0) > 0.0,
            Caution::Dust->value => $mix !== null,
            // Saved pots are washed with it too: they carry disease most.
            Caution::Bleach->value => $container !== null && ! $container->singleUse,
            Caution::GardenSoil->value => $this->namesSoil($stage->mix, $mix),
            Caution::TreatedWood->value => $container !== null && preg_match('/\bwood(en)?\b/i', $container->name) === 1,
            Caution::Cutting->value => $container !== null && self::saved($container),
            Caution::Kitchen->value => $container !== null && self::saved($container),
            Caution::Film->value => $stage->trayware !== [],
        ]));

        return array_map(Caution::from(...), $found);
    }

    /**
     * @param  list<Caution>  $found
     * @return list<Caution> the gravest first
     */
    private static function once(array $found): array
    {
        return array_values(array_filter(Caution::cases(), fn (Caution $caution): bool => in_array($caution, $found, true)));
    }

    /** @return list<Caution> what its seed, leaves or berries can do to one */
    public function seed(Crop $crop): array
    {
        $lot = array_column($this->season->seedLots, null, 'id')[$crop->lot];
        $species = array_column($this->season->species, null, 'id')[$lot->species];
        $facts = $this->catalogue->recognise(SeasonDraft::kinIn($species->meta), $species->name);

        return array_map(Caution::from(...), $facts->cautions ?? []);
    }

    /** Whether a mix, or a supply that is one as it comes, is soil from the garden. */
    private function namesSoil(?string $supply, ?Mix $mix): bool
    {
        $names = array_column($this->season->supplies, 'name', 'id');
        $used = $mix === null ? [$supply ?? ''] : array_column($mix->parts, 'supply');

        return preg_match('/\b(garden|top) ?soil\b|\bloam\b/i', implode(', ', array_map(fn (string $id): string => $names[$id] ?? '', $used))) === 1;
    }

    private function cools(Setup $setup): bool
    {
        foreach ($this->season->mats as $mat) {
            if (in_array($mat->id, $setup->mats, true) && $mat->liftC < 0.0) {
                return true;
            }
        }

        return false;
    }

    private function hasLamp(Setup $setup, string $pattern): bool
    {
        foreach ($this->season->lights as $light) {
            if (in_array($light->id, $setup->lights, true) && preg_match($pattern, $light->name) === 1) {
                return true;
            }
        }

        return false;
    }

    /** Something from the bin: it cost nothing and is used more than once, or is a saved jug. */
    private static function saved(Container $container): bool
    {
        return $container->packPrice <= 0.0 && ! $container->singleUse;
    }
}
