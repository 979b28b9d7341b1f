<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
use stdClass;

/** New things of a season: lamps, mats, pots, supplies, recipes, places, offers; from the catalogue or one's own, to be filled in. */
final readonly class Things
{
    /** What one's own begins as, by list; prices in US dollars. */
    private const OWN = [
        'places' => ['name' => 'Another place', 'temp_c' => 18.0, 'flats' => 4],
        'lights' => ['name' => 'My lamp', 'watts' => 40, 'flats' => 1, 'hours_per_day' => 16, 'price' => 0, 'life_seasons' => 10, 'owned' => true],
        'mats' => ['name' => 'My mat', 'watts' => 20, 'flats' => 1, 'lift_c' => 5.5, 'price' => 0, 'life_seasons' => 5, 'owned' => true],
        'appliances' => ['name' => 'My fan', 'watts' => 10, 'hours_per_day' => 8, 'price' => 0, 'life_seasons' => 5, 'owned' => true],
        'gear' => ['name' => 'My shelf', 'price' => 0, 'life_seasons' => 10, 'owned' => true],
        'trayware' => ['name' => 'My tray', 'price' => 0, 'life_seasons' => 5],
        'containers' => ['name' => 'My pot', 'sites_per_unit' => 1, 'pack_price' => 0, 'life_seasons' => 3, 'volume_l' => 0.3, 'top_area_m2' => 0.005,
            'flats_per_unit' => 0.0555555555555556],
        'supplies' => ['name' => 'My mix', 'unit' => 'L', 'pack_price' => 8.5, 'pack_amount' => 15],
        'mixes' => ['name' => 'My mix', 'parts' => [], 'shrinkage' => 0.08, 'minutes_per_l' => 1.2],
        'nursery' => ['name' => 'Six-pack', 'plants' => 6, 'price' => 5.49],
    ];

    /** Lists of things that stand somewhere. */
    private const PLACED = ['lights', 'mats', 'appliances'];

    /** Lists that a set-up names. */
    private const OF_SETUPS = ['lights', 'mats', 'appliances', 'gear'];

    public function __construct(private SeasonDraft $draft)
    {
    }

    /** @return list<string> lists that things can be added to */
    public static function lists(): array
    {
        return array_keys(self::OWN);
    }

    /**
     * @param  ?string  $catalogue  id there; null for one's own
     * @param  ?string  $place  where it stands; the bench where nothing is said
     * @param  ?string  $setup  that uses it from now on
     * @return string the id of the last of them
     *
     * @throws NotInCatalogue
     */
    public function add(string $list, ?string $catalogue, string $name, ?string $place, ?string $setup, int $count): string
    {
        $added = '';
        $ids = [];
        for ($n = 0; $n < $count; $n++) {
            $row = SeasonDraft::object($catalogue === null ? $this->own($list) : $this->draft->catalogueRow($list, $catalogue));
            $row->id ??= $name === '' ? Cell::text($row->name) : $name;
            $row->name = $this->draft->freeName($list, $name === '' ? Cell::text($row->name) : $name);
            if ($list === 'mixes') {
                $this->fillRecipe($row);
            }
            if (in_array($list, self::PLACED, true)) {
                $row->place = $place ?? $this->draft->place('bench');
            }
            $ids[] = $added = $this->draft->add($list, $row);
        }
        foreach ($this->draft->rows('setups') as $row) {
            if ($setup !== null && $row->id === $setup && in_array($list, self::OF_SETUPS, true)) {
                $this->draft->replace(['setups', $setup, $list], [...Cell::texts($row->{$list} ?? []), ...$ids]);
            }
        }

        return $added;
    }

    /** The bags a recipe names are put into the season with it; one's own begins with one part of a bag that is there. */
    private function fillRecipe(stdClass $recipe): void
    {
        foreach ([...Cell::rows($recipe->parts ?? null), ...Cell::rows($recipe->additives ?? null)] as $part) {
            $part->supply = $this->draft->ensure('supplies', Cell::text($part->supply));
        }
        if ($recipe->parts === []) {
            $recipe->parts = [(object) ['supply' => $this->draft->ensure('supplies', 'starter'), 'parts' => 1]];
        }
    }

    /** @return array<string, mixed> */
    private function own(string $list): array
    {
        $row = self::OWN[$list] ?? throw new NotInCatalogue("Nothing can be added to \"{$list}\".");
        $level = PriceLevel::all()[Cell::text($this->draft->document->currency ?? '')] ?? null;
        foreach (['price', 'pack_price'] as $key) {
            if ($level !== null && is_numeric($row[$key] ?? null)) {
                $row[$key] = $level->price((float) $row[$key]);
            }
        }

        return $row;
    }
}
