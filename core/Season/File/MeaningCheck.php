<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use Generator;
use InvalidArgumentException;
use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Units\Currency;
use Nette\Utils\Helpers;
use stdClass;

/** What a schema cannot say: that things named exist, and that rows make sense together. */
final class MeaningCheck
{
    /** Crops times set-ups. */
    private const MOST_LINES = 8000;

    /** Plants of all crops. */
    private const MOST_WANTED = 200_000;

    private const YEARS_AWAY = 2;

    private const LEAST_RATE = 0.0001;

    private readonly Node $season;

    /** @var array<string, array<array-key, Node>> rows by list and id */
    private array $byId = [];

    public function __construct(private readonly stdClass $document)
    {
        $this->season = new Node($document);
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        $faults = [...$this->indexRows()];
        foreach (
            [
                $this->size(),
                $this->money(),
                $this->times(),
                $this->references(),
                $this->places(),
                $this->tariff(),
                $this->seed(),
                $this->methods(),
                $this->crops(),
                $this->speciesRaised(),
            ] as $found
        ) {
            foreach ($found as $fault) {
                $faults[] = $fault;
            }
        }

        return $faults;
    }

    /** @return list<Fault> ids that stand twice */
    private function indexRows(): array
    {
        $faults = [];
        foreach (array_keys(SeasonSchema::get()->lists) as $list) {
            $this->byId[$list] = [];
            foreach ($this->season->rows($list) as $row) {
                $id = $row->text('id');
                if ($id !== null && isset($this->byId[$list][$id])) {
                    $faults[] = $row->fault('id', "The id \"{$id}\" stands twice in {$list}.", 'Give one of the two another id.');
                } elseif ($id !== null) {
                    $this->byId[$list][$id] = $row;
                }
            }
        }

        return $faults;
    }

    /** @return Generator<Fault> names of what is not there, and what is named twice in one list */
    private function references(): Generator
    {
        foreach (SeasonSchema::get()->references as $reference) {
            $seen = [];
            foreach ($reference->uses($this->document) as [$keys, $id]) {
                if (! $this->isKnown($id, $reference)) {
                    yield $this->unknown($keys, $id, $reference);
                } elseif ($reference->isItem) {
                    $list = implode('.', array_slice($keys, 0, -1));
                    if (isset($seen[$list][$id])) {
                        yield Fault::at($keys, "\"{$id}\" is named twice.", 'Name it once; for two of a kind give each its own row.');
                    }
                    $seen[$list][$id] = true;
                }
            }
        }
    }

    private function isKnown(string $id, Reference $reference): bool
    {
        foreach ($reference->names as $list) {
            if (isset($this->byId[$list][$id])) {
                return true;
            }
        }

        return in_array($id, $reference->besides, true);
    }

    /** @param  list<string|int>  $keys */
    private function unknown(array $keys, string $id, Reference $reference): Fault
    {
        $known = $reference->besides;
        foreach ($reference->names as $list) {
            $known = [...$known, ...array_map(strval(...), array_keys($this->byId[$list]))];
        }
        $near = Helpers::getSuggestion($known, $id);

        return Fault::at(
            $keys,
            "There is no \"{$id}\" in ".implode(' or ', $reference->names).'.',
            $near === null ? 'Add it there, or name one that is.' : "Did you mean \"{$near}\"?",
        );
    }

    /** @return Generator<Fault> a season that could not be reckoned in time, though each of its lists is short enough */
    private function size(): Generator
    {
        $crops = $this->season->rows('crops');
        $lines = count($crops) * count($this->season->rows('setups'));
        if ($lines > self::MOST_LINES) {
            yield $this->season->fault(
                'setups',
                'Crops times set-ups come to '.number_format($lines).'.',
                'Keep them to '.number_format(self::MOST_LINES).': take out set-ups, or part the list into two seasons.',
            );
        }
        $wanted = array_sum(array_map(fn (Node $crop): float => max(0.0, $crop->number('wanted') ?? 0.0), $crops));
        if ($wanted > self::MOST_WANTED) {
            yield $this->season->fault(
                'crops',
                'The list wants '.number_format($wanted).' plants.',
                'Keep it to '.number_format(self::MOST_WANTED).', or part it into two seasons.',
            );
        }
    }

    /** @return Generator<Fault> */
    private function money(): Generator
    {
        $code = $this->season->text('currency');
        if ($code !== null && ! Currency::isInUse($code)) {
            yield $this->season->fault('currency', "\"{$code}\" is no currency in use.", 'Give the three letters of ISO 4217, such as USD.');
        }
    }

    /** @return Generator<Fault> dates far from the season's year, frosts the wrong way round, a rate too small to divide by */
    private function times(): Generator
    {
        $year = $this->season->number('year');
        $dated = [[$this->season, 'last_frost'], [$this->season, 'first_frost']];
        $credit = $this->season->child('electricity')?->child('heat_credit');
        if ($credit !== null) {
            $dated[] = [$credit, 'until'];
        }
        foreach ($this->season->rows('crops') as $crop) {
            $dated[] = [$crop, 'sow_on'];
        }
        foreach ($this->season->rows('log') as $entry) {
            array_push($dated, [$entry, 'on'], [$entry, 'until']);
        }
        foreach ($dated as [$row, $key]) {
            $date = $row->text($key);
            if ($date !== null && $year !== null && abs((int) substr($date, 0, 4) - $year) > self::YEARS_AWAY) {
                yield $row->fault($key, "{$date} is more than two years from the season's year, {$year}.", 'Check the year of both.');
            }
        }
        [$last, $first] = [$this->season->text('last_frost'), $this->season->text('first_frost')];
        if ($last !== null && $first !== null && $first <= $last) {
            yield $this->season->fault('first_frost', 'The first frost of autumn is not after the last of spring.', 'Check both dates.');
        }
        $rate = $this->season->number('discount_rate');
        if ($rate !== null && $rate > 0.0 && $rate < self::LEAST_RATE) {
            yield $this->season->fault(
                'discount_rate',
                'The rate is too small to tell from 0.',
                'Give 0, or '.self::LEAST_RATE.' to 0.5.',
            );
        }
    }

    /** @return Generator<Fault> */
    private function places(): Generator
    {
        foreach ($this->season->rows('places') as $place) {
            if (! $place->isTrue('outdoors') && ! $place->has('temp_c')) {
                yield $place->fault('temp_c', 'An indoor place has no temperature.', 'Give its temperature in °C, or twelve monthly ones.');
            }
            if ($place->isTrue('outdoors') && $place->has('flats')) {
                yield $place->fault('flats', 'An outdoor place has no limit of trays.', 'Take "flats" out.');
            }
        }
        foreach (['lights' => 'A light', 'mats' => 'A mat', 'appliances' => 'An appliance'] as $list => $what) {
            foreach ($this->season->rows($list) as $row) {
                if ($this->isOutdoors($row)) {
                    yield $row->fault('place', "{$what} stands outdoors.", 'Give it an indoor place.');
                }
            }
        }
        foreach ($this->season->rows('mats') as $mat) {
            if ($mat->number('lift_c') === 0.0) {
                yield $mat->fault('lift_c', 'A mat that lifts nothing is no mat.', 'Give how far it warms (above 0) or cools (below 0).');
            }
        }
    }

    /** @return Generator<Fault> */
    private function tariff(): Generator
    {
        $taken = [];
        foreach ($this->season->child('electricity')?->rows('windows') ?? [] as $index => $window) {
            try {
                $from = ClockTime::parse($window->text('from') ?? '')->minutes;
                $to = ClockTime::parse($window->text('to') ?? '')->minutes;
            } catch (InvalidArgumentException) {
                continue;
            }
            $length = ($to - $from + ClockTime::MINUTES_A_DAY) % ClockTime::MINUTES_A_DAY ?: ClockTime::MINUTES_A_DAY;
            foreach ($taken as $other => [$otherFrom, $otherLength]) {
                $gap = ($from - $otherFrom + ClockTime::MINUTES_A_DAY) % ClockTime::MINUTES_A_DAY;
                $back = ($otherFrom - $from + ClockTime::MINUTES_A_DAY) % ClockTime::MINUTES_A_DAY;
                if ($gap < $otherLength || $back < $length) {
                    yield $window->fault('from', "This window overlaps window {$other}.", 'Let each moment belong to one window.');
                }
            }
            $taken[$index] = [$from, $length];
        }
    }

    /** @return Generator<Fault> */
    private function seed(): Generator
    {
        foreach ($this->season->rows('species') as $species) {
            $before = -INF;
            foreach ($species->rows('germination') as $row) {
                $temperature = $row->number('temp_c');
                if ($temperature !== null && $temperature <= $before) {
                    yield $row->fault(
                        'temp_c',
                        'The rows are not in rising order of temperature, or one is repeated.',
                        'Sort them, coldest first, each temperature once.',
                    );
                }
                $before = $temperature ?? $before;
                if (! $row->has('days') && ($row->number('percent') ?? 0.0) > 0.0) {
                    yield $row->fault('days', 'Some come up, but no days are given.', 'Give the days to emergence, or 0 percent.');
                }
            }
        }
        foreach ($this->season->rows('seed_lots') as $lot) {
            if (! $lot->has('seeds_per_packet') && ($lot->number('packet_price') ?? 0.0) > 0.0) {
                yield $lot->fault(
                    'seeds_per_packet',
                    'A packet that costs money needs its number of seeds.',
                    'Give the seeds in the packet, or price 0 for your own seed.',
                );
            }
            $test = $lot->child('test');
            if ($test !== null && ($test->number('sprouted') ?? 0.0) > ($test->number('sown') ?? INF)) {
                yield $test->fault('sprouted', 'More came up than were sown.', 'Check both numbers of the test.');
            }
        }
    }

    /** @return Generator<Fault> */
    private function methods(): Generator
    {
        foreach ($this->season->rows('methods') as $method) {
            if ($method->text('id') === Setup::NURSERY) {
                yield $method->fault('id', '"nursery" means buying.', 'Give the method another id.');
            }
            $stages = $method->rows('stages');
            $first = $stages[0] ?? null;
            $direct = $first !== null && ! $first->has('container') && $this->isOutdoors($first);
            $rests = array_filter($stages, fn (Node $stage): bool => $stage->text('days') === Stage::REST);
            foreach (array_slice($rests, 1) as $stage) {
                yield $stage->fault('days', 'Another stage rests already.', 'Let one stage take what is left of the weeks.');
            }
            foreach ($stages as $index => $stage) {
                yield from $this->stage($stage, $index === 0, $direct);
            }
        }
    }

    /** @return Generator<Fault> */
    private function stage(Node $stage, bool $first, bool $direct): Generator
    {
        $outdoors = $this->isOutdoors($stage);
        foreach (['light', 'mat'] as $key) {
            if ($outdoors && $stage->isTrue($key)) {
                yield $stage->fault($key, "A stage outdoors has no {$key}.", 'Set it to false, or give an indoor place.');
            }
        }
        if (($first || ! $stage->has('container')) && ($stage->number('plants_per_site') ?? 1.0) !== 1.0) {
            yield $stage->fault(
                'plants_per_site',
                'Several plants to a pot are for a stage that moves them into one.',
                'Name the container they are moved to, in a later stage.',
            );
        }
        if ($stage->text('days') === Stage::EMERGENCE && ! $first) {
            yield $stage->fault('days', 'Only the first stage can last until emergence.', 'Give a number of days.');
        }
        if ($stage->text('days') === Stage::REST && $first) {
            yield $stage->fault('days', 'The first stage cannot be the one that rests.', 'Give a number of days, or "emergence".');
        }
        if ($first && ! $direct && ! $stage->has('container') && $stage->text('place') !== null) {
            yield $stage->fault('container', 'The first stage stands indoors in nothing.', 'Name the container that is sown.');
        }
        if (! $direct) {
            return;
        }
        foreach (['container', 'mix', 'top_dressing', 'trayware'] as $key) {
            if ($stage->has($key) && ($key !== 'trayware' || $stage->texts($key) !== [])) {
                yield $stage->fault($key, "What is sown in the bed has no {$key}.", 'Take it out.');
            }
        }
        if (! $first && ! $outdoors) {
            yield $stage->fault('place', 'What is sown in the bed stays outdoors.', 'Give an outdoor place.');
        }
    }

    /** @return Generator<Fault> */
    private function crops(): Generator
    {
        foreach ($this->season->rows('crops') as $crop) {
            if ($crop->text('anchor') === 'first_frost' && ! $this->season->has('first_frost')) {
                yield $crop->fault('anchor', 'The season has no first frost date.', 'Give first_frost, or count from last_frost.');
            }
            $split = $crop->child('split');
            if ($split !== null) {
                $sum = array_sum(array_map(fn (string $key): float => $split->number($key) ?? 0.0, ['keep', 'give', 'sell']));
                if ($sum !== ($crop->number('wanted') ?? $sum)) {
                    yield $crop->fault('split', "The split adds up to {$sum}.", 'Let keep, give and sell add up to wanted.');
                }
            }
            $sow = $crop->child('sow');
            if ($sow !== null && $sow->has('sites') === $sow->has('seeds')) {
                yield $crop->fault('sow', 'It must say either sites or seeds.', 'Keep one of the two.');
            }
        }
    }

    /** @return Generator<Fault> species raised in a way that asks for what is not known of them */
    private function speciesRaised(): Generator
    {
        $species = $raisedBy = $told = $asks = [];
        foreach ($this->season->rows('crops') as $crop) {
            $lot = $this->byId['seed_lots'][$crop->text('lot') ?? ''] ?? null;
            $species[$crop->text('id') ?? ''] = $lot?->text('species') ?? '';
        }
        foreach ($this->season->rows('setups') as $setup) {
            $overrides = $setup->map('overrides');
            // Most crops of a long list go by the set-up's own method: each of their species once.
            $raisedBy[] = [$setup->text('method') ?? '', array_unique(array_diff_key($species, $overrides))];
            foreach (array_intersect_key($overrides, $species) as $crop => $method) {
                $raisedBy[] = [$method, [$species[$crop]]];
            }
        }
        foreach ($raisedBy as [$method, $ids]) {
            foreach ($ids as $id) {
                [$one, $way] = [$this->byId['species'][$id] ?? null, $this->byId['methods'][$method] ?? null];
                if ($one === null || $way === null || isset($told[$id][$method])) {
                    continue;
                }
                $told[$id][$method] = true;
                $asks[$method] ??= $this->asksOf($way);
                [$first, $hasTemperature, $rests] = $asks[$method];
                if ($first !== null) {
                    yield from self::emergence($one, $method, $first, $hasTemperature);
                }
                if ($rests && ! $one->has('weeks')) {
                    yield $one->fault('weeks', "The method \"{$method}\" fills up the weeks of \"{$id}\", but nothing says how many it takes.",
                        'Give weeks from sowing to planting out, or the stage a number of days.');
                }
            }
        }
    }

    /**
     * What a method asks of its species, looked up once for all of them.
     *
     * @return array{?Node, bool, bool} its first stage if that waits until seed is up; whether that has a temperature; whether a stage lasts the rest
     *     of the species' weeks
     */
    private function asksOf(Node $method): array
    {
        $stages = $method->rows('stages');
        $first = $stages[0] ?? null;
        $place = $this->byId['places'][$first?->text('place') ?? ''] ?? null;
        $rests = array_filter($stages, fn (Node $stage): bool => $stage->text('days') === Stage::REST) !== [];

        return [$first?->text('days') === Stage::EMERGENCE ? $first : null, $place === null || $place->has('temp_c'), $rests];
    }

    /** @return Generator<Fault> */
    private static function emergence(Node $species, string $method, Node $first, bool $hasTemperature): Generator
    {
        $id = (string) $species->text('id');
        if (! $species->hasRows('germination') && ! $species->has('days_to_emerge')) {
            yield $species->fault('days_to_emerge', "The method \"{$method}\" waits for emergence, but nothing says how long \"{$id}\" takes.",
                'Give days_to_emerge or a germination table, or the stage a number of days.');
        } elseif ($species->hasRows('germination') && ! $hasTemperature) {
            yield $first->fault('days', "The place has no temperature, so the days until \"{$id}\" is up are not known.",
                'Give a number of days, or the place a temperature.');
        }
    }

    private function isOutdoors(Node $row): bool
    {
        return ($this->byId['places'][$row->text('place') ?? ''] ?? null)?->isTrue('outdoors') ?? false;
    }
}
