<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

use JollyPenny\Core\Catalogue\Cell;
use JollyPenny\Core\Catalogue\NotInCatalogue;
use JollyPenny\Core\Catalogue\Raising;
use JollyPenny\Core\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Day;
use stdClass;

/** New lines of the grow list, with the seed and the species they need. */
final readonly class GrowList
{
    private const WANTED = 6;

    /** Autumn crops go out so long before the first frost. Common practice, no source. */
    private const AUTUMN_DAYS = -45;

    /** Offers of more plants than this are bunches, for onions and the like. */
    private const BUNCH = 12;

    public function __construct(private SeasonDraft $draft)
    {
    }

    /** @return list<PastedLine> the lines that name no species we know */
    public function addPasted(string $text): array
    {
        $unknown = [];
        foreach ((new PastedList($text, $this->draft->catalogue->species()))->lines as $line) {
            $line->species === null ? ($unknown[] = $line) : $this->addLine($line->species, $line);
        }

        return $unknown;
    }

    /** "4 kale autumn": counted back from the first frost, where that is known. */
    private function addLine(string $species, PastedLine $line): void
    {
        $variety = trim((string) preg_replace('/\b(for )?(autumn|fall)\b/iu', '', $line->variety));
        if ($variety === $line->variety || ($this->draft->document->first_frost ?? null) === null) {
            $this->addSpecies($species, $line->wanted, $line->variety);

            return;
        }
        $id = $this->addSpecies($species, $line->wanted, $variety);
        $weeks = 7 * ($this->draft->catalogue->species()[$species]->weeksTo + 1);
        foreach (['anchor' => 'first_frost', 'plant_out_offset_days' => self::AUTUMN_DAYS, 'outdoor_sow_offset_days' => null,
            'bed_sow_offset_days' => self::AUTUMN_DAYS - $weeks] as $key => $value) {
            $this->draft->replace(['crops', $id, $key], $value);
        }
    }

    /**
     * @return string the crop's id
     *
     * @throws NotInCatalogue
     */
    public function addSpecies(string $species, ?int $wanted = null, string $variety = ''): string
    {
        $facts = $this->draft->catalogue->species()[$species] ?? throw new NotInCatalogue("The catalogue has no species \"{$species}\".");

        return $this->addSeed($facts, $this->draft->ensure('species', $species), $wanted, $variety === '' ? $facts->name : $variety);
    }

    /** @throws NotInCatalogue */
    public function addRelative(OwnSpecies $own): string
    {
        $facts = $this->draft->catalogue->species()[$own->like] ?? throw new NotInCatalogue("The catalogue has no species \"{$own->like}\".");
        $row = $own->row(SeasonDraft::object($this->draft->catalogueRow('species', $own->like)), $facts->daysToEmerge);

        return $this->addSeed($facts, $this->draft->add('species', $row), $own->wanted, $own->name);
    }

    /** A crop of a packet at the catalogue's price. */
    private function addSeed(SpeciesFacts $facts, string $species, ?int $wanted, string $name): string
    {
        $lot = $this->draft->add(
            'seed_lots',
            (object) [
                'id' => $name,
                'species' => $species,
                'variety' => $name,
                ...$this->draft->catalogueRow('seed_lots', $facts->id),
                'packed_for' => Cell::whole($this->draft->document->year),
                'meta' => (object) [SeasonDraft::MARK => $facts->id],
            ],
        );

        return $this->addLot($lot, $wanted, $facts);
    }

    /** A crop of seed that is in the drawer already. */
    public function addLot(string $lot, ?int $wanted = null, ?SpeciesFacts $facts = null): string
    {
        $row = array_column($this->draft->rows('seed_lots'), null, 'id')[$lot] ?? null;
        if (! ($row instanceof stdClass)) {
            throw new NotInCatalogue("There is no seed \"{$lot}\" in the drawer.");
        }
        $crop = (object) [
            'id' => Cell::text($row->variety),
            'lot' => $lot,
            'wanted' => $wanted ?? self::WANTED,
            'plant_out_offset_days' => $facts->plantOutOffsetDays ?? 7,
            'outdoor_sow_offset_days' => $facts?->outdoorSowOffsetDays,
            'bed_sow_offset_days' => $facts?->bedSowOffsetDays,
            'cold_days' => $facts->coldDays ?? 0,
            'nursery' => $this->offers($facts?->raising),
        ];
        $id = $this->draft->add('crops', $crop);
        (new ReadyMade($this->draft))->suit($crop);

        return $id;
    }

    /**
     * What nurseries sell of it: of roots nothing, of onions and leeks bunches too.
     *
     * @return list<string>
     */
    private function offers(?Raising $raising): array
    {
        $offers = $raising === Raising::Root ? [] : array_filter(
            $this->draft->rows('nursery'),
            fn (stdClass $offer): bool => $raising === Raising::Blanket || $offer->plants <= self::BUNCH,
        );

        return array_values(array_map(fn (stdClass $offer): string => Cell::text($offer->id), $offers));
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
