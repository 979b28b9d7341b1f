<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

use JollyPenny\Core\Catalogue\Cell;
use JollyPenny\Core\Catalogue\NotInCatalogue;
use JollyPenny\Core\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Setup;
use stdClass;

/**
 * Ready-made set-ups (catalogue/setups.json): a season's crops assigned as suits them. Large seed goes to pots, hardy crops
 * straight out, slow ones to heat, tender ones where it is warm, herbs by the clump.
 */
final readonly class ReadyMade
{
    /** Seed this wide goes into a pot of its own, mm. */
    private const LARGE_SEED_MM = 6.0;

    /** Planted out this long before the last frost, a crop is hardy. */
    private const HARDY_DAYS = -14;

    /** Started this many weeks ahead, a crop is slow. */
    private const SLOW_WEEKS = 10;

    public function __construct(private SeasonDraft $draft)
    {
    }

    /**
     * @return string the set-up's id in the season
     *
     * @throws NotInCatalogue
     */
    public function add(string $id): string
    {
        $made = $this->draft->catalogue->setups()[$id] ?? throw new NotInCatalogue("There is no ready-made set-up \"{$id}\".");
        $overrides = new stdClass();
        $method = $this->method(Cell::text($made['method'] ?? ''));
        foreach ($this->draft->rows('crops') as $crop) {
            $raised = $this->methodFor($crop, $made);
            if ($raised !== $method) {
                $overrides->{Cell::text($crop->id)} = $raised;
            }
        }
        $bench = ($made['lights'] ?? []) === [] && ($made['mats'] ?? []) === [] ? null : $this->draft->place('bench');
        $things = fn (string $list, ?string $place): array => array_map(
            fn (mixed $row): string => $this->draft->ensure($list, Cell::text($row), $place),
            is_array($made[$list] ?? null) ? array_values($made[$list]) : [],
        );

        return $this->draft->add(
            'setups',
            (object) [
                'id' => $id,
                'name' => Cell::text($made['name'] ?? $id),
                'method' => $method,
                'overrides' => $overrides,
                'lights' => $things('lights', $bench),
                'mats' => $things('mats', $bench),
                'appliances' => [],
                'gear' => $things('gear', null),
                'meta' => (object) [SeasonDraft::MARK => $id],
            ],
        );
    }

    /** @param  array<string, mixed>  $made */
    private function methodFor(stdClass $crop, array $made): string
    {
        foreach ($this->classes($crop) as $class) {
            $method = $made[$class] ?? null;
            if (is_string($method) && ($method !== Setup::NURSERY || ($crop->nursery ?? []) !== [])) {
                return $this->method($method);
            }
        }

        return $this->method(Cell::text($made['method'] ?? ''));
    }

    /** @return list<string> what the crop is, the most telling first */
    private function classes(stdClass $crop): array
    {
        $facts = $this->facts($crop);
        $offset = Cell::whole($crop->plant_out_offset_days ?? 0);
        $hardy = ($crop->anchor ?? 'last_frost') === 'first_frost' || $offset <= self::HARDY_DAYS;

        return array_keys(
            array_filter([
                'direct' => $facts?->start === 'direct',
                'large' => $facts !== null && $facts->seedWidthMm >= self::LARGE_SEED_MM,
                'herb' => $facts !== null && $facts->kind === 'herb' && $facts->seedWidthMm < 2.0,
                'slow' => $facts !== null && $facts->weeksTo >= self::SLOW_WEEKS,
                'tender' => ! $hardy && $offset > 0,
                'hardy' => $hardy,
            ]),
        );
    }

    /** What the catalogue knows of the crop's species, by its mark or its name. */
    private function facts(stdClass $crop): ?SpeciesFacts
    {
        $lots = array_column($this->draft->rows('seed_lots'), null, 'id');
        $species =
            array_column($this->draft->rows('species'), null, 'id')[Cell::text($lots[Cell::text($crop->lot ?? '')]->species ?? '')] ?? null;
        if (! ($species instanceof stdClass)) {
            return null;
        }

        return $this->draft->catalogue->recognise(SeasonDraft::markOf($species), Cell::text($species->name));
    }

    private function method(string $id): string
    {
        return $id === Setup::NURSERY ? $id : (new Schools($this->draft))->ensure($id);
    }
}
