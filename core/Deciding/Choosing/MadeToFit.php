<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Units\Ceiling;

/** A set-up with as many more of its own lamps and mats as its plants want; room stays what it is. Costing rules, section 12. */
final class MadeToFit
{
    private const MOST = 20;

    /** Of the name of the set-up it is made from, so that the new one is none too long. */
    private const LONGEST_NAME = 180;

    private int $left = self::MOST;

    private readonly Season $season;

    public function __construct(private readonly SeasonCosting $costing, private readonly Setup $setup)
    {
        $this->season = $costing->season;
    }

    public static function idOf(Setup $setup): string
    {
        return "{$setup->id}-fit";
    }

    /** The season with that set-up at its end; null where one of its id is there already. */
    public function season(): ?Season
    {
        $id = self::idOf($this->setup);
        if (in_array($id, array_column($this->season->setups, 'id'), true)) {
            return null;
        }
        $this->left = self::MOST;
        $places = $this->costing->books($this->setup)->energy()->places;
        $lights = $this->more($this->season->lights, $this->setup->lights, PlaceLoad::LIGHT, $places);
        $mats = $this->more($this->season->mats, $this->setup->mats, PlaceLoad::HEAT, $places);
        $setup = $this->setup->with(
            id: $id,
            name: mb_substr($this->setup->name, 0, self::LONGEST_NAME).', made to fit',
            lights: [...$this->setup->lights, ...array_column($lights, 'id')],
            mats: [...$this->setup->mats, ...array_column($mats, 'id')],
        );

        return $this->season->with(
            lights: [...$this->season->lights, ...$lights],
            mats: [...$this->season->mats, ...$mats],
            setups: [...$this->season->setups, $setup],
        );
    }

    /**
     * @param  list<Light|Mat>  $rows  all of the season's
     * @param  list<string>  $named  by the set-up
     * @param  array<array-key, PlaceEnergy>  $places
     * @return list<Light|Mat> copies, so that what stands there is covered
     */
    private function more(array $rows, array $named, int $kind, array $places): array
    {
        $byId = array_column($rows, null, 'id');
        $taken = array_column($rows, 'id');
        $copies = [];
        foreach ($places as $place) {
            $here = array_values(array_filter($named, fn (string $id): bool => $byId[$id]->place === $place->place->id));
            if ($here === []) {
                continue;
            }
            $last = $byId[$here[count($here) - 1]];
            $covered = array_sum(array_map(fn (string $id): float => $byId[$id]->flats, $here));
            for (; $this->left > 0 && $place->load->peak($kind) > $covered + Ceiling::TOLERANCE; $this->left--) {
                $copies[] = $copy = $last->with(id: self::free($last->id, $taken), owned: false);
                $taken[] = $copy->id;
                $covered += $last->flats;
            }
        }

        return $copies;
    }

    /** @param  list<string>  $taken */
    private static function free(string $id, array $taken): string
    {
        for ($n = 1; in_array("{$id}+{$n}", $taken, true); $n++) {
            continue;
        }

        return "{$id}+{$n}";
    }
}
