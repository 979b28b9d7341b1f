<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Plan\Germination\PlannedSoil;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\Raising;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Things\Place;
use stdClass;

/**
 * Ready-made set-ups (catalogue/setups.json), and the one of what somebody has: each crop by the first method of the set-up's list
 * for such crops that is possible for it. Also for crops that come later.
 */
final readonly class ReadyMade
{
    /** Planted out this long before the last frost, a crop is hardy. */
    private const HARDY_DAYS = -14;

    /** Later than this, what is sown in the bed is eaten or overgrown; hardy seed waits for the soil to warm. Common practice, no source. */
    private const UP_WITHIN_DAYS = ['tender' => 30, 'hardy' => 80];

    /** Ready so long after its day, it has bolted or has no summer left (as in Soundness). */
    private const TOO_LATE_DAYS = ['tender' => 14, 'hardy' => 35];

    /** A plant goes out of its jug or from under its fleece young (catalogue/methods.json). */
    private const JUG_SHARE = 0.6;

    private const UNDER_FLEECE_DAYS = 21;

    /** In a warmer bed, what does not stand heat fails. Common practice, no source. */
    private const HOT_BED_C = 24.0;

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
        $plan = $this->plan($id) ?? throw new NotInCatalogue("There is no ready-made set-up \"{$id}\".");
        $things = fn (string $list, ?string $place): array => array_map(
            fn (string $row): string => $this->draft->ensure($list, $row, $place),
            $plan->things[$list],
        );
        $bench = $plan->things['lights'] === [] && $plan->things['mats'] === [] ? null : $this->draft->place('bench');
        $setup = (object) [
            'id' => $id,
            'name' => $this->draft->freeName('setups', $plan->name),
            'method' => $this->method($plan, $plan->methods['else'][0]),
            'overrides' => new stdClass(),
            'lights' => $things('lights', $bench),
            'mats' => $things('mats', $bench),
            'appliances' => [],
            'gear' => $things('gear', null),
            'meta' => (object) [SeasonDraft::MARK => $id],
        ];
        foreach ($this->draft->rows('crops') as $crop) {
            $method = $this->methodFor($crop, $plan);
            if ($method !== $setup->method) {
                $setup->overrides->{Cell::text($crop->id)} = $method;
            }
        }

        return $this->draft->add('setups', $setup);
    }

    /** Gives a new crop, in every set-up of the season that was ready made, a method that suits it. */
    public function suit(stdClass $crop): void
    {
        foreach ($this->draft->rows('setups') as $setup) {
            $plan = $this->plan(SeasonDraft::markOf($setup) ?? '');
            $method = $plan === null ? $setup->method : $this->methodFor($crop, $plan);
            if ($method !== $setup->method) {
                $this->draft->set(['setups', Cell::text($setup->id), 'overrides', Cell::text($crop->id)], $method);
            }
        }
    }

    private function plan(string $mark): ?SetupPlan
    {
        if ($mark === SetupPlan::OWN) {
            return SetupPlan::ofWhatIsThere($this->draft);
        }
        $made = $this->draft->catalogue->setups()[$mark] ?? null;

        return $made === null ? null : SetupPlan::ofCatalogue($made);
    }

    private function methodFor(stdClass $crop, SetupPlan $plan): string
    {
        $wishes = [];
        foreach ($this->classes($crop, $this->draft->factsOf($crop)) as $class) {
            array_push($wishes, ...$plan->methods[$class] ?? []);
        }
        foreach ($wishes as $method) {
            if ($this->isPossible($method, $crop)) {
                return $this->method($plan, $method, $this->draft->factsOf($crop));
            }
        }

        return $this->method($plan, $wishes[0] ?? $plan->methods['else'][0], $this->draft->factsOf($crop));
    }

    /** @return list<string> what the crop is, the most telling first */
    private function classes(stdClass $crop, ?SpeciesFacts $facts): array
    {
        $hardy = ($crop->anchor ?? 'last_frost') === 'first_frost' || Cell::whole($crop->plant_out_offset_days ?? 0) <= self::HARDY_DAYS;
        $raising = $facts === null ? ($hardy ? Raising::Cell : Raising::Potted) : $facts->raising;
        $tender = $facts === null ? ! $hardy : $facts->tender;

        $frost = $tender ? 'tender' : 'hardy';

        return $raising === Raising::Root || $raising === Raising::Bed
            ? [$raising->value, $frost, 'else']
            : [$frost, $raising->value, 'else'];
    }

    /** In the bed or outdoors only what has a day for it; bought only what somebody sells. */
    private function isPossible(string $method, stdClass $crop): bool
    {
        return match ($method) {
            Setup::NURSERY => ($crop->nursery ?? []) !== [],
            'bed', 'bed_row' => is_int($crop->bed_sow_offset_days ?? null) && $this->comesUpInTheBed($crop, $crop->bed_sow_offset_days),
            'fleece_pots' => $this->isReadyInTime($crop, 'outside', self::UNDER_FLEECE_DAYS),
            'winter_jugs' => $this->belongsInJugs($crop),
            default => true,
        };
    }

    /** Jugs are for what the last frosts do not kill, sown before them. */
    private function belongsInJugs(stdClass $crop): bool
    {
        $sown = $crop->outdoor_sow_offset_days ?? null;

        $grows = (int) round(7 * self::JUG_SHARE * ($this->draft->factsOf($crop)->weeks ?? 0.0));

        return is_int($sown) && $sown < 0 && ($crop->anchor ?? 'last_frost') === 'last_frost' && ! $this->isTender($crop)
            && $this->isReadyInTime($crop, 'jugs', $grows);
    }

    /** Whether what is sown outdoors on its day is up, and has grown for so many days, before it is far too late. */
    private function isReadyInTime(stdClass $crop, string $part, int $days): bool
    {
        $sown = $crop->outdoor_sow_offset_days ?? null;
        if (! is_int($sown)) {
            return false;
        }
        $bed = $this->seedbed($crop, $part);
        $up = $bed?->sown($this->frostOf($crop)->number + $sown, 1.0)->days ?? 0;

        return $sown + $up + $days <= Cell::whole($crop->plant_out_offset_days ?? 0) + self::TOO_LATE_DAYS[$this->isTender($crop) ? 'tender' : 'hardy'];
    }

    /** How the crop's seed comes up at a place outdoors; null where its temperature or the seed's answer to it is not known. */
    private function seedbed(stdClass $crop, string $part): ?Seedbed
    {
        $celsius = array_column($this->draft->rows('places'), null, 'id')[$this->draft->place($part)]->temp_c ?? null;
        $table = array_map(
            fn (array $row): GerminationRow => new GerminationRow($row['temp_c'], $row['days'], $row['percent']),
            $this->draft->factsOf($crop)->germination ?? [],
        );
        if ($celsius === null || $table === []) {
            return null;
        }
        $months = is_array($celsius) ? array_map(floatval(...), array_values(array_filter($celsius, is_numeric(...)))) : (float) Cell::text($celsius);

        return new Seedbed($table, new PlannedSoil(new Place($part, $part, $months, outdoors: true)));
    }

    private function frostOf(stdClass $crop): Day
    {
        return Day::parse(Cell::text($this->draft->document->{$crop->anchor ?? 'last_frost'} ?? $this->draft->document->last_frost));
    }

    /** Where the temperature outdoors is known, and what the species makes of it: whether it is up in good time. */
    private function comesUpInTheBed(stdClass $crop, int $offset): bool
    {
        $bed = $this->seedbed($crop, 'outside');
        if ($bed === null) {
            return true;
        }
        $sown = $this->frostOf($crop)->number + $offset;
        $isHot = $bed->celsiusOn($sown) > self::HOT_BED_C && ! ($this->draft->factsOf($crop)->standsHeat ?? true);

        return ! $isHot && $bed->sown($sown, 1.0)->days <= self::UP_WITHIN_DAYS[$this->isTender($crop) ? 'tender' : 'hardy'];
    }

    private function isTender(stdClass $crop): bool
    {
        return $this->draft->factsOf($crop)->tender ?? Cell::whole($crop->plant_out_offset_days ?? 0) > 0;
    }

    private function method(SetupPlan $plan, string $id, ?SpeciesFacts $facts = null): string
    {
        $means = $facts === null || $facts->wantsMat() ? $plan->means : $plan->means->withoutMats();

        return $id === Setup::NURSERY ? $id : (new Schools($this->draft))->ensure($id, $means);
    }
}
