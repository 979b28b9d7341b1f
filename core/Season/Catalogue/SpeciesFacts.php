<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/** What the catalogue knows of a species, with where it knows it from. */
final readonly class SpeciesFacts
{
    /** Common practice, no source. */
    private const ROOT_WEEKS = 3.0;

    /** Common practice, no source. */
    private const WARMER_THAN_A_ROOM_C = 22.0;

    /**
     * @param  string  $kind  vegetable, herb or flower
     * @param  list<array{temp_c: float, days: ?float, percent: float}>  $germination  by soil temperature
     * @param  ?string  $germinationSource  null without a table
     * @param  float  $freshGermination  share of fresh bought seed that comes up
     * @param  ?float  $legalMinimum  share below which it may not be sold; null where no law names the species
     * @param  float  $longevityYears  until half of fresh seed is dead
     * @param  float  $daysToEmerge  where no table says better
     * @param  int  $weeksFrom  from sowing to planting out
     * @param  int  $plantOutOffsetDays  days after the last frost
     * @param  bool  $tender  killed by frost
     * @param  ?int  $outdoorSowOffsetDays  days after the last frost at which it is sown in pots outdoors; null where it is not done
     * @param  ?int  $bedSowOffsetDays  the same in the bed
     * @param  string  $light  to germinate: light, dark or any
     * @param  int  $coldDays  of chilling before sowing
     * @param  float  $packetPrice  typical, to be put right
     * @param  list<string>  $cautions  keys of cautions
     * @param  ?int  $autumnDays  days before the first frost that it goes out for an autumn crop, or is sown where it grows; null where it is none
     * @param  bool  $standsHeat  comes up and grows in the heat of summer
     * @param  bool  $boltsInSpring  runs to seed where it is sown in spring
     * @param  ?float  $potAtLeastL  litres of the pot below which a bought plant is not the same plant
     * @param  list<string>  $offers  how nurseries sell it, ids of nursery.csv; empty where nobody does
     * @param  float  $weeks  from sowing to planting out; of what is sown where it grows, the longest its root bears a container
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $latin,
        public string $kind,
        public Raising $raising,
        public array $germination,
        public ?string $germinationSource,
        public float $freshGermination,
        public ?float $legalMinimum,
        public ?string $legalSource,
        public float $longevityYears,
        public string $longevitySource,
        public float $daysToEmerge,
        public int $weeksFrom,
        public int $weeksTo,
        public int $plantOutOffsetDays,
        public bool $tender,
        public ?int $outdoorSowOffsetDays,
        public ?int $bedSowOffsetDays,
        public float $seedWidthMm,
        public float $sowingDepthMm,
        public string $light,
        public int $coldDays,
        public float $spacingCm,
        public float $packetPrice,
        public int $seedsPerPacket,
        public array $cautions,
        public ?int $autumnDays,
        public bool $standsHeat,
        public bool $boltsInSpring,
        public ?float $potAtLeastL,
        public array $offers,
        public string $source,
        public float $weeks,
    ) {
    }

    /**
     * @param  array<string, string|int|float|bool|null>  $row
     * @param  list<array{temp_c: float, days: ?float, percent: float}>  $germination
     */
    public static function fromRow(array $row, array $germination, ?string $germinationSource): self
    {
        $text = fn (string $key): string => (string) $row[$key];
        $number = fn (string $key): float => (float) $row[$key];
        $whole = fn (string $key): int => (int) $row[$key];
        $words = fn (string $key): array => $row[$key] === null ? [] : explode(' ', (string) $row[$key]);

        return new self(
            id: $text('id'),
            name: $text('name'),
            latin: $text('latin'),
            kind: $text('kind'),
            raising: Raising::from($text('raising')),
            germination: $germination,
            germinationSource: $germinationSource,
            freshGermination: $number('fresh_germination'),
            legalMinimum: $row['legal_minimum'] === null ? null : $number('legal_minimum'),
            legalSource: $row['legal_source'] === null ? null : $text('legal_source'),
            longevityYears: $number('longevity_years'),
            longevitySource: $text('longevity_source'),
            daysToEmerge: $number('days_to_emerge'),
            weeksFrom: $whole('weeks_from'),
            weeksTo: $whole('weeks_to'),
            plantOutOffsetDays: $whole('plant_out_offset_days'),
            tender: $row['tender'] === true,
            outdoorSowOffsetDays: $row['outdoor_sow_offset_days'] === null ? null : $whole('outdoor_sow_offset_days'),
            bedSowOffsetDays: $row['bed_sow_offset_days'] === null ? null : $whole('bed_sow_offset_days'),
            seedWidthMm: $number('seed_width_mm'),
            sowingDepthMm: $number('sowing_depth_mm'),
            light: $text('light'),
            coldDays: $whole('cold_days'),
            spacingCm: $number('spacing_cm'),
            packetPrice: $number('packet_price'),
            seedsPerPacket: $whole('seeds_per_packet'),
            cautions: $words('caution'),
            autumnDays: $row['autumn_days'] === null ? null : $whole('autumn_days'),
            standsHeat: $row['stands_heat'] === true,
            boltsInSpring: $row['bolts_in_spring'] === true,
            potAtLeastL: $row['pot_at_least_l'] === null ? null : $number('pot_at_least_l'),
            offers: $words('offers'),
            source: $text('source'),
            weeks: $whole('weeks_to') > 0 ? ($whole('weeks_from') + $whole('weeks_to')) / 2 : self::ROOT_WEEKS,
        );
    }

    /** Whether a heat mat helps it to come up: where what suits it best is warmer than a room. */
    public function wantsMat(): bool
    {
        $best = ['days' => INF, 'temp_c' => 0.0];
        foreach ($this->germination as $row) {
            if ($row['days'] !== null && $row['days'] < $best['days']) {
                $best = $row;
            }
        }

        return $best['temp_c'] >= self::WARMER_THAN_A_ROOM_C;
    }

    /** @return array<string, mixed> a row of the season file's `species` */
    public function seasonRow(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'germination' => $this->germination,
            'days_to_emerge' => $this->daysToEmerge,
            'longevity_years' => $this->longevityYears,
            'fresh_germination' => $this->freshGermination,
            'weeks' => $this->weeks,
            'tender' => $this->tender,
            'meta' => ['catalogue' => $this->id],
        ];
    }
}
