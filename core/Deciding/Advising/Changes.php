<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Generator;
use JollyPenny\Core\Deciding\Choosing\Moves;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Energy\DailyTariff;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Crops\Anchor;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Leftover;
use JollyPenny\Core\Season\UnitSystem;
use stdClass;

/** Every single change that a season allows in one of its set-ups. */
final readonly class Changes
{
    private const WEEK = 7;

    /** A cell so much smaller still raises a plug; a pot must not be much smaller than what is wanted. Common practice, no source. */
    private const SMALLEST_CELL = 0.25;

    private const SMALLEST_POT = 0.6;

    /** A plant lives so long on what its seed and a mix without food hold. Common practice, no source. */
    private const WEEKS_ON_A_MIX = 3.0;

    private const FOOD = '/potting|compost|castings|manure|multi-?purpose|loam/i';

    private Season $season;

    public function __construct(private SetupBooks $books)
    {
        $this->season = $books->season();
    }

    /** @return Generator<Change> */
    public function all(): Generator
    {
        foreach ($this->season->crops as $crop) {
            yield from $this->ways($crop);
            yield from $this->ofCrop($crop);
            yield from $this->places($crop);
        }
        yield from $this->packets();
        yield from (new PackChanges($this->books))->all();
        yield from $this->things();
        foreach ($this->methodsUsed() as $method) {
            yield from $this->ofMethod($method);
        }
    }

    /** @return Generator<Change> another method, or the nursery */
    private function ways(Crop $crop): Generator
    {
        $now = $this->books->setup->methodFor($crop->id);
        $used = array_unique(array_map(fn (Setup $setup): string => $setup->methodFor($crop->id), $this->season->setups));
        foreach ($used as $way) {
            if ($way !== $now && $way !== Setup::NURSERY) {
                yield new Change('method', $crop->id, "Sow {$this->name($crop)} on ".Change::SOWING_DAY.": “{$this->books->index->methods[$way]->name}”",
                    [$this->override($crop->id, $way)]);
            }
        }
        if ($now !== Setup::NURSERY && $this->books->index->isSold($crop)) {
            yield new Change('buy', $crop->id, "Buy {$this->name($crop)}, {$crop->wanted} at the nursery", [$this->override($crop->id, Setup::NURSERY)]);
        }
    }

    /** @return Generator<Change> part of its time in another place */
    private function places(Crop $crop): Generator
    {
        $format = $this->season->units === UnitSystem::Us ? 'F j' : 'j F';
        foreach ((new Moves($this->books))->forCrop($crop->id) as $move) {
            $day = gmdate($format, 86400 * Day::parse($move->on)->number);
            yield new Change('move', $crop->id, "Move {$move->name} to {$move->place} on {$day}", $move->edits);
        }
    }

    /** @return Generator<Change> */
    private function ofCrop(Crop $crop): Generator
    {
        yield new Change('drop', $crop->id, "Leave out {$this->name($crop)}", [['path' => ['crops', $crop->id], 'to' => null]]);
        $plan = $this->plan($crop->id);
        if ($plan === null) {
            return;
        }
        foreach (['week_later' => self::WEEK, 'week_earlier' => -self::WEEK] as $kind => $days) {
            $edit = $crop->sowOn === null ? ['path' => ['crops', $crop->id, 'plant_out_offset_days'], 'to' => $crop->plantOutOffsetDays + $days]
                : ['path' => ['crops', $crop->id, 'sow_on'], 'to' => $crop->sowOn->plus($days)->format()];
            yield new Change($kind, $crop->id, "Sow {$this->name($crop)} a week ".($days > 0 ? 'later' : 'earlier').', on '.Change::SOWING_DAY, [$edit]);
        }
        foreach ($this->season->seedLots as $lot) {
            if ($lot->id !== $crop->lot && $lot->packetPrice <= 0.0 && $lot->variety === $plan->lot->variety && $plan->lot->packetPrice > 0.0) {
                yield new Change('own_seed', $crop->id, "Sow your own {$lot->variety} for {$this->name($crop)}", [['path' => ['crops',
                    $crop->id, 'lot'], 'to' => $lot->id]]);
            }
        }
        if ($crop->wanted > 1 && $crop->split === null) {
            $half = intdiv($crop->wanted, 2);
            [$id, $row] = $this->row($crop, $half);
            $rest = ['path' => ['crops', $crop->id, 'wanted'], 'to' => $crop->wanted - $half];
            if ($this->books->index->isSold($crop)) {
                yield new Change('half_bought', $crop->id, "Buy {$half} of {$this->name($crop)} and raise the rest",
                    [$rest, ['path' => ['crops', $id], 'to' => $row], $this->override($id, Setup::NURSERY)]);
            }
            $row = clone $row;
            $row->plant_out_offset_days = $crop->plantOutOffsetDays + self::WEEK;
            $row->sow_on = null;
            if ($crop->sow === null && $crop->sowOn === null) {
                yield new Change('second_batch', $crop->id, "Sow half of {$this->name($crop)} a week later, in a batch of its own",
                    [$rest, ['path' => ['crops', $id], 'to' => $row], $this->override($id, $plan->method->id)]);
            }
        }
    }

    /** @return Generator<Change> packets whose rest is thrown away, shared with the years in which it still comes up */
    private function packets(): Generator
    {
        $sown = array_unique(array_map(fn (CropPlan $plan): string => $plan->lot->id, $this->books->plans));
        foreach ($sown as $id) {
            $lot = $this->books->index->lots[$id];
            if ($lot->leftover === Leftover::Waste && $this->books->index->species[$lot->species]->longevityYears > 1.0) {
                yield new Change('share_packet', null, "Keep what is left of the packet of {$lot->variety}, cool and dry, for next year",
                    [['path' => ['seed_lots', $id, 'leftover'], 'to' => Leftover::Keep->value]]);
            }
        }
    }

    /** @return Generator<Change> lamps and mats: another hour, or out */
    private function things(): Generator
    {
        $tariff = new DailyTariff($this->season->electricity);
        $setup = $this->books->setup;
        foreach ($setup->lights as $id) {
            $light = $this->books->index->lights[$id];
            $best = BestHour::forLight($light, $tariff, 1.0);
            if ($best !== null) {
                yield new Change('hour', null, "Run {$light->name} from {$best->on_at}, the same {$light->hoursPerDay} hours",
                    [['path' => ['lights', $id, 'on_at'], 'to' => $best->on_at]]);
            }
            yield new Change('lamp_out', null, "Do without {$light->name}",
                [['path' => ['setups', $setup->id, 'lights'], 'to' => array_values(array_diff($setup->lights, [$id]))]]);
        }
        foreach ($setup->mats as $id) {
            yield new Change('mat_out', null, "Do without {$this->books->index->mats[$id]->name}",
                [['path' => ['setups', $setup->id, 'mats'], 'to' => array_values(array_diff($setup->mats, [$id]))]]);
        }
    }

    /** @return Generator<Change> fewer seeds, another mix, a smaller cell, for all that are raised so */
    private function ofMethod(Method $method): Generator
    {
        if ($method->seedsPerSite > $method->minPlants) {
            $fewer = $method->seedsPerSite - 1;
            yield new Change('seed_fewer', null, 'Sow '.($fewer === 1 ? 'one seed' : "{$fewer} seeds")." instead of {$method->seedsPerSite} to a place, “{$method->name}”",
                [['path' => ['methods', $method->id, 'seeds_per_site'], 'to' => $fewer]]);
        }
        foreach ($method->stages as $i => $stage) {
            foreach ($stage->mix === null ? [] : [...$this->season->mixes, ...$this->mixSupplies()] as $mix) {
                if ($mix->id !== $stage->mix && ! $this->starves($method, $i, $mix->id)) {
                    yield new Change('mix', null, "Fill with {$mix->name} instead of {$this->mixName((string) $stage->mix)}: “{$method->name}”, {$stage->name}",
                        [['path' => ['methods', $method->id, 'stages', $i, 'mix'], 'to' => $mix->id]]);
                }
            }
            if ($stage->container === null) {
                continue;
            }
            $now = $this->books->index->containers[$stage->container];
            foreach ($this->season->containers as $other) {
                if ($other->id !== $now->id && ($other->volumeL < $now->volumeL || $other->packPrice <= 0.0)
                    && $other->volumeL > $now->volumeL * ($i === 0 ? self::SMALLEST_CELL : self::SMALLEST_POT)) {
                    yield new Change('cell', null, "Use {$other->name} instead of {$now->name}: “{$method->name}”, {$stage->name}",
                        [['path' => ['methods', $method->id, 'stages', $i, 'container'], 'to' => $other->id]]);
                }
            }
        }
    }

    /** Whether plants would stand for weeks in a mix without food where they have one with food now, until they are moved on. */
    private function starves(Method $method, int $i, string $mix): bool
    {
        $weeks = 0.0;
        foreach ($this->books->plans as $plan) {
            if ($plan->method->id === $method->id) {
                $days = $plan->stages[$i]->days();
                for ($next = $i + 1; isset($plan->stages[$next]) && ! $plan->stages[$next]->fills(); $next++) {
                    $days += $plan->stages[$next]->days();
                }
                $weeks = max($weeks, $days / self::WEEK);
            }
        }

        return $weeks >= self::WEEKS_ON_A_MIX && $this->feeds((string) $method->stages[$i]->mix) && ! $this->feeds($mix);
    }

    /** Whether a mix, or a supply used as one, holds food for plants: told by the names of what is in it. */
    private function feeds(string $mix): bool
    {
        $parts = array_column($this->books->index->mixes[$mix]->parts ?? [], 'supply') ?: [$mix];
        $names = implode(', ', array_map(fn (string $id): string => $this->books->index->supplies[$id]->name ?? '', $parts));

        return preg_match(self::FOOD, $names) === 1;
    }

    private function mixName(string $id): string
    {
        return $this->books->index->mixes[$id]->name ?? $this->books->index->supplies[$id]->name;
    }

    /** @return list<\JollyPenny\Core\Season\Things\Supply> that some stage is filled with as they are */
    private function mixSupplies(): array
    {
        $used = [];
        foreach ($this->season->methods as $method) {
            foreach ($method->stages as $stage) {
                $used[$stage->mix ?? ''] = true;
            }
        }

        return array_values(array_filter($this->season->supplies, fn ($supply): bool => isset($used[$supply->id])));
    }

    /** @return list<Method> */
    private function methodsUsed(): array
    {
        $methods = [];
        foreach ($this->books->plans as $plan) {
            $methods[$plan->method->id] = $plan->method;
        }

        return array_values($methods);
    }

    /** @return array{string, stdClass} a new line of the list, and its id */
    private function row(Crop $crop, int $wanted): array
    {
        $row = (new SeasonWriter)->row($crop->with(wanted: $wanted, sow: null));
        $taken = array_column($this->season->crops, 'id');
        for ($n = 2; in_array("{$crop->id}-{$n}", $taken, true); $n++);
        $row->id = "{$crop->id}-{$n}";

        return [$row->id, $row];
    }

    /** @return array{path: non-empty-list<string|int>, to: string} */
    private function override(string $crop, string $way): array
    {
        return ['path' => ['setups', $this->books->setup->id, 'overrides', $crop], 'to' => $way];
    }

    private function plan(string $crop): ?CropPlan
    {
        $at = $this->books->grown[$crop] ?? null;

        return $at === null ? null : $this->books->plans[$at];
    }

    private function name(Crop $crop): string
    {
        $variety = $this->books->index->lots[$crop->lot]->variety;
        $rounds = array_filter($this->season->crops, fn (Crop $one): bool => $one->lot === $crop->lot);

        // Two rounds of one variety are told apart by their frost.
        return count($rounds) > 1 && $crop->anchor === Anchor::FirstFrost ? "{$variety} of autumn" : $variety;
    }
}
