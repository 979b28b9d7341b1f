<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\Raising;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Day;
use stdClass;

/** New lines of the grow list, with the seed and the species they need. */
final readonly class GrowList
{
    private const WANTED = 6;

    public function __construct(private SeasonDraft $draft)
    {
    }

    /** @return list<PastedLine> the lines that have to be asked about first */
    public function addPasted(string $text): array
    {
        $asked = [];
        foreach ((new PastedList($text, $this->draft->catalogue->species(), ($this->draft->document->units ?? '') === 'metric'))->lines as $line) {
            $asked = [...$asked, ...array_filter([$this->addLine($line)])];
        }

        return $asked;
    }

    /** @return ?PastedLine the line with what has to be asked; null where it was added */
    private function addLine(PastedLine $line): ?PastedLine
    {
        $facts = $this->draft->catalogue->species()[$line->species ?? ''] ?? null;
        if ($line->question !== null || $facts === null) {
            return $line;
        }
        if ($line->isAutumn && ($facts->autumnDays === null || ! $this->knowsAutumn())) {
            return $line->asking($facts->autumnDays === null
                ? "{$facts->name} is no crop for the autumn. Add it for spring?"
                : "Autumn {$facts->name} is counted back from the first frost. Say when that is, under the name of the season, or add it for spring.");
        }
        $this->addSpecies($facts->id, $line->wanted, $line->variety, $line->isAutumn);

        return null;
    }

    private function knowsAutumn(): bool
    {
        return ($this->draft->document->first_frost ?? null) !== null;
    }

    /**
     * @param  bool  $isAutumn  an autumn crop; what would run to seed in spring is one wherever the first frost is known
     * @return string the crop's id
     *
     * @throws NotInCatalogue
     */
    public function addSpecies(string $species, ?int $wanted = null, string $variety = '', bool $isAutumn = false): string
    {
        $facts = $this->draft->catalogue->species()[$species] ?? throw new NotInCatalogue("The catalogue has no species \"{$species}\".");

        return $this->addSeed($facts, $this->draft->ensure('species', $species), $wanted, $variety === '' ? $facts->name : $variety,
            $isAutumn || ($facts->boltsInSpring && $this->knowsAutumn()));
    }

    /** @throws NotInCatalogue */
    public function addRelative(OwnSpecies $own): string
    {
        $facts = $this->draft->catalogue->species()[$own->like] ?? throw new NotInCatalogue("The catalogue has no species \"{$own->like}\".");
        $row = $own->row(SeasonDraft::object($this->draft->catalogueRow('species', $own->like)), $facts->daysToEmerge);

        return $this->addSeed($facts, $this->draft->add('species', $row), $own->wanted, $own->name);
    }

    /** A crop of a packet at the catalogue's price. */
    private function addSeed(SpeciesFacts $facts, string $species, ?int $wanted, string $name, bool $isAutumn = false): string
    {
        $packet = PacketSize::cheapestFor($facts, $wanted ?? self::WANTED);

        $lot = $this->draft->add(
            'seed_lots',
            (object) [
                'id' => $name,
                'species' => $species,
                'variety' => $name,
                ...$this->draft->packet($packet),
                'packed_for' => Cell::whole($this->draft->document->year),
                'meta' => (object) [SeasonDraft::MARK => $facts->id],
            ],
        );

        return $this->addLot($lot, $wanted, $facts, $isAutumn);
    }

    /** A crop of seed that is in the drawer already. */
    public function addLot(string $lot, ?int $wanted = null, ?SpeciesFacts $facts = null, bool $isAutumn = false): string
    {
        $row = array_column($this->draft->rows('seed_lots'), null, 'id')[$lot] ?? null;
        if (! ($row instanceof stdClass)) {
            throw new NotInCatalogue("There is no seed \"{$lot}\" in the drawer.");
        }
        $crop = (object) [
            'id' => Cell::text($row->variety),
            'lot' => $lot,
            'wanted' => $wanted ?? self::WANTED,
            ...($isAutumn && $facts?->autumnDays !== null ? self::autumn($facts, $facts->autumnDays) : self::spring($facts)),
            'nursery' => array_map(fn (string $offer): string => $this->draft->ensure('nursery', $offer), $facts->offers ?? []),
        ];
        if ($facts?->potAtLeastL !== null) {
            $crop->pot_at_least_l = $facts->potAtLeastL;
        }
        $id = $this->draft->add('crops', $crop);
        (new ReadyMade($this->draft))->suit($crop);

        return $id;
    }

    /** @return array<string, ?int> days of a spring crop, counted from the last frost */
    private static function spring(?SpeciesFacts $facts): array
    {
        return [
            'plant_out_offset_days' => $facts->plantOutOffsetDays ?? 7,
            'outdoor_sow_offset_days' => $facts?->outdoorSowOffsetDays,
            'bed_sow_offset_days' => $facts?->bedSowOffsetDays,
            'cold_days' => $facts->coldDays ?? 0,
        ];
    }

    /**
     * Days of an autumn crop, counted back from the first frost: what is sown where it grows is sown on its day, the rest goes out on it.
     *
     * @return array<string, int|string|null>
     */
    private static function autumn(SpeciesFacts $facts, int $days): array
    {
        $inPlace = in_array($facts->raising, [Raising::Root, Raising::Bed], true);
        $raised = 7 * $facts->weeksFrom;

        return [
            'anchor' => 'first_frost',
            'plant_out_offset_days' => $inPlace ? $raised - $days : -$days,
            'outdoor_sow_offset_days' => null,
            'bed_sow_offset_days' => $facts->bedSowOffsetDays === null ? null : ($inPlace ? -$days : -$days - $raised),
            'cold_days' => 0,
        ];
    }

    /**
     * Rounds of one crop: sown again every so many days, so many times.
     *
     * @return list<string> ids
     */
    public function addRounds(stdClass $crop, int $everyDays, int $times): array
    {
        $ids = [];
        for ($round = 1; $round <= $times; $round++) {
            $copy = clone $crop;
            $copy->id = Cell::text($crop->id).'-'.($round + 1);
            foreach (['plant_out_offset_days', 'outdoor_sow_offset_days', 'bed_sow_offset_days'] as $offset) {
                if (is_int($crop->{$offset} ?? null)) {
                    $copy->{$offset} = $crop->{$offset} + $round * $everyDays;
                }
            }
            if (is_string($crop->sow_on ?? null)) {
                $copy->sow_on = Day::ofNumber(Day::parse($crop->sow_on)->number + $round * $everyDays)->format();
            }
            $id = $this->draft->add('crops', $copy);
            foreach ($this->draft->rows('setups') as $setup) {
                $this->raiseAlike($setup, Cell::text($crop->id), $id);
            }
            $ids[] = $id;
        }

        return $ids;
    }

    /** A packet of this year beside one in the drawer, at the same price and untested. */
    public function addFreshPacket(stdClass $lot): string
    {
        $fresh = clone $lot;
        $fresh->id = Cell::text($lot->id).'-fresh';
        $fresh->packed_for = $this->draft->document->year;
        $fresh->packets_owned = 0;
        $fresh->test = null;

        return $this->draft->add('seed_lots', $fresh);
    }

    private function raiseAlike(stdClass $setup, string $crop, string $copy): void
    {
        $method = $setup->overrides->{$crop} ?? null;
        if (is_string($method)) {
            $this->draft->set(['setups', Cell::text($setup->id), 'overrides', $copy], $method);
        }
    }
}
