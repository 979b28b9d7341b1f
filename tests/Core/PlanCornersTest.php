<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\Changes;
use JollyPenny\Core\Deciding\Advising\HangsOn;
use JollyPenny\Core\Deciding\Advising\Inputs;
use JollyPenny\Core\Deciding\Choosing\BudgetYears;
use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Deciding\Choosing\MixAndMatch;
use JollyPenny\Core\Deciding\Choosing\Standing;
use JollyPenny\Core\Deciding\Simulating\Simulation;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\SimulatedMeter;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Living\Reckoning\Beliefs;
use JollyPenny\Core\Living\Shed\HandCount;
use JollyPenny\Core\Living\Shed\Leftovers;
use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Cautions\Caution;
use JollyPenny\Core\Plan\Cautions\CautionsFor;
use JollyPenny\Core\Plan\Drafting\Kit;
use JollyPenny\Core\Plan\Drafting\Means;
use JollyPenny\Core\Plan\Drafting\Schools;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Things;
use JollyPenny\Core\Plan\Energy\PhotonFlux;
use JollyPenny\Core\Plan\Potting\Potting;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupCosting;
use JollyPenny\Core\Plan\Years\YearsCosting;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\SpeciesNames;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\MoneyWords;
use JollyPenny\Core\Showing\Bench\Bench;
use JollyPenny\Core\Showing\Pictures\Till;
use JollyPenny\Core\Showing\Workings\BuyingWorkings;
use JollyPenny\Core\Showing\Workings\CropWorkings;
use JollyPenny\Core\Showing\Workings\Origins;
use Tests\Logs;
use Tests\Seasons;

// Corners of the plan that no other test comes to.

it('advises to buy what is sold and not bought yet, and nothing else', function () {
    $file = Seasons::demo();
    $file['crops'][0]['nursery'] = [];
    foreach ([0, 1, 2] as $setup) {
        $season = Seasons::read($file);
        $costing = new SeasonCosting($season);
        $books = $costing->books($season->setups[$setup]);
        $buys = [];
        foreach ((new Changes($books))->all() as $change) {
            $change->kind !== 'buy' ?: $buys[] = $change->crop;
        }
        $sold = array_values(array_filter($season->crops, fn ($crop): bool => $books->index->isSold($crop)
            && $season->setups[$setup]->methodFor($crop->id) !== 'nursery'));
        expect($buys)->toBe(array_column($sold, 'id'))->not->toContain($season->crops[0]->id);
    }
});

it('finds on each side of a number only where the answer turns on that side', function () {
    $season = Seasons::read(Seasons::demo());
    $flips = (new HangsOn($season, $season->setups[0], fn (): string => 'guess'))->flips();
    expect($flips)->not->toBe([]);
    foreach ($flips as $flip) {
        $flip->below === null ?: expect($flip->below)->toBeLessThan($flip->now, $flip->what);
        $flip->above === null ?: expect($flip->above)->toBeGreaterThan($flip->now, $flip->what);
    }
});

it('bills by month what lamps, mats and fans take over the season', function () {
    $file = Seasons::demo();
    $file['electricity']['windows'] = [];
    $file['electricity']['heat_credit'] = null;
    $season = Seasons::read($file);
    $bench = Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]));
    $power = ['lights' => 0.0, 'mats' => 0.0, 'appliances' => 0.0];
    $kwh = 0.0;
    foreach ($bench->places as $place) {
        foreach ($place->things as $thing) {
            $power[$thing->kind] += $thing->power;
            $kwh += $thing->kwh;
        }
    }
    $sum = fn (string $key): float => array_sum(array_column($bench->bill, $key));
    // A mat's share of a month is rounded to whole days on, so that the two may differ by a hundredth.
    expect($sum('kwh'))->toEqualWithDelta($kwh, $kwh * 0.01)->and($sum('light'))->toEqualWithDelta($power['lights'], $power['lights'] * 0.01)
        ->and($sum('heat'))->toEqualWithDelta($power['mats'], $power['mats'] * 0.01)
        ->and($sum('appliance'))->toEqualWithDelta($power['appliances'], 0.001)->and($sum('credit'))->toBe(0.0);
});

it('says the soil\'s share of a hundred rounded, as the packet and the bed have it', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $compared = 0;
    foreach (Bench::fromBooks($books)->places as $place) {
        foreach ($place->soil ?? [] as $wish) {
            $plan = $books->plans[$books->grown[$wish->crop]];
            $given = $plan->stages[0]->stage->mat ? $wish->with : $wish->without;
            if ($given !== null) {
                $compared++;
                expect($given->of_hundred)->toBe((int) round(100 * $plan->g), $wish->crop);
            }
        }
    }
    expect($compared)->toBeGreaterThan(3);
});

it('lets a plant that would be ready one day early wait that day indoors', function () {
    $file = Seasons::small();
    $plan = fn (array $file) => (new SeasonCosting(Seasons::read($file)))->books(Seasons::read($file)->setups[0])->plans[0];
    $planned = $plan($file);
    $end = fn ($plan): int => $plan->stages[count($plan->stages) - 1]->end;
    $file['crops'][0]['sow_on'] = Day::ofNumber($planned->sown->on - 1)->format();
    $early = $plan($file);
    $days = fn ($plan, int $stage): int => $plan->stages[$stage]->days();
    expect($end($early))->toBe($end($planned))->and($early->lateDays)->toBe(0)
        // What comes up a day sooner or later with the soil, and the waiting, is the lamp's stage; hardening off stays as it is.
        ->and($days($early, 0) + $days($early, 1))->toBe($days($planned, 0) + $days($planned, 1) + 1)->and($days($early, 2))->toBe(7);
});

it('knows which vegetables run to seed where they are sown in spring', function () {
    // Common practice, no source: Chinese cabbage and spinach bolt as days grow longer, tomatoes never do.
    $species = (new Catalogue())->species();
    expect($species['tomato']->boltsInSpring)->toBeFalse()->and($species['lettuce']->boltsInSpring)->toBeFalse();
    expect(array_filter($species, fn ($facts): bool => $facts->boltsInSpring))->not->toBe([])
        ->and(count(array_filter($species, fn ($facts): bool => $facts->boltsInSpring)))->toBeLessThan(count($species) / 4);
});

it('knows a kind that stands alone, and what of a name is the variety', function () {
    $catalogue = new Catalogue();
    $names = new SpeciesNames($catalogue->species());
    $found = fn (string $words): ?string => $names->find($words)?->id;
    expect([$found('bell'), $found('cherry'), $found('grape')])->toBe(['sweet_pepper', 'cherry_tomato', 'cherry_tomato'])
        ->and($names->variety('sweet pepper "Copper Lantern"', $catalogue->species()['sweet_pepper']))->toBe('Copper Lantern');
});

it('warns of electricity where there is a lamp and no mat, and of fire only where there is a mat', function () {
    $file = Seasons::small();
    $file['setups'][0]['mats'] = [];
    $season = Seasons::read($file);
    $cautions = (new CautionsFor($season))->crop($season->setups[0], $season->crops[0]);
    expect($cautions)->toContain(Caution::Electricity)->not->toContain(Caution::Fire);
});

it('takes the cheaper of two ways also where they are pennies apart and the dearer is less work', function () {
    $file = Seasons::small();
    $file['supplies'][] = ['id' => 'twine', 'name' => 'Twine', 'unit' => 'each', 'pack_price' => 0.05, 'pack_amount' => 1];
    $file['methods'][] = ['id' => 'quick'] + $file['methods'][0];
    $file['methods'][1]['extras'][] = ['supply' => 'twine', 'amount' => 1, 'per' => 'crop'];
    $file['methods'][1]['stages'][0]['minutes_per_site'] = 0;
    $file['crops'][0]['nursery'] = [];
    $file['setups'][] = ['id' => 'other', 'method' => 'quick'] + $file['setups'][0];
    $season = Seasons::read($file);
    foreach ([0, 1] as $setup) {
        expect((new MixAndMatch($season, $season->setups[$setup]))->setup()->methodFor('lantern'))->toBe('cells');
    }
});

it('simulates a meter that is on in the same hours of each day', function () {
    $from = 1_807_228_800;
    $readings = array_merge(...iterator_to_array((new SimulatedMeter(DeviceKind::Meter, 40.0, 16.0, 3600))->posts($from, 24 * 20), false));
    expect($readings)->not->toBe([]);
    foreach ($readings as ['at' => $at, 'value' => $value]) {
        $hour = (int) substr($at, 11, 2);
        expect($value > 20.0)->toBe($hour < 16, $at);
    }
});

it('names a thing of one\'s own by what it is called', function () {
    $draft = new SeasonDraft(json_decode(Seasons::json(Seasons::small())));
    expect((new Things($draft))->add('gear', null, 'Oak shelf', null, null, 1))->toBe('oak-shelf')
        ->and((new Things($draft))->add('gear', null, '', null, null, 1))->not->toBe('oak-shelf');
});

it('tells once what a method leaves out, however many stages it does so in', function () {
    foreach (array_keys((new Catalogue())->methods()) as $method) {
        $draft = new SeasonDraft(json_decode(Seasons::json(Seasons::small())));
        $id = (new Schools($draft))->ensure((string) $method, new Means(false, false, false));
        $row = array_column($draft->rows('methods'), null, 'id')[$id];
        $words = array_slice(explode(':', SeasonDraft::markOf($row)), 1);
        expect($words)->toBe(array_values(array_unique($words)), (string) $method);
    }
});

it('names the methods of the catalogue in the terms of the garden', function () {
    // American growers pot up, British ones pot on: common practice, no source.
    $named = function (array $units): string {
        $draft = new SeasonDraft(json_decode(Seasons::json($units + Seasons::small())));
        array_map((new Schools($draft))->ensure(...), ['cells_potted', 'small_pot']);

        return (string) json_encode($draft->rows('methods'), JSON_UNESCAPED_UNICODE);
    };
    expect($named(['units' => 'metric']))->toContain('thinned, potted on')->toContain('"Pot on"')->toContain('a 7 cm pot')
        ->and($named(['units' => 'us']))->toContain('thinned, potted up')->toContain('"Pot up"')->toContain('a 2¾ in pot')->not->toContain('otted on')
        ->and($named([]))->toContain('potted up');
});

it('gives light estimated from lumens to a tenth', function () {
    // 74 lumens to a µmol for cool white (Thimijan and Heins 1983): 4,210 lumens are 56.89.
    expect(PhotonFlux::estimate(4210.0, 5000.0))->toBe(56.9);
});

it('says money as the screens do', function () {
    // The same amounts and words as web/src/words/money.test.ts has.
    $in = fn (string $currency, string $locale = 'en'): MoneyWords => new MoneyWords($currency, $locale);
    expect([$in('USD')->fine(0.6912), $in('USD')->fine(1.811), $in('USD')->format(0.6912), $in('GBP')->fine(0.25), $in('JPY')->fine(0.4), $in('JPY')->format(121.4)])
        ->toBe(['69.1¢', '$1.81', '$0.69', '25.0p', '¥0', '¥121'])
        ->and(str_replace("\u{a0}", ' ', $in('EUR', 'de')->format(1234.5)))->toBe('1.234,50 €')->and($in('EUR', 'de')->fine(0.5))->toBe('50,0c')
        ->and($in('USD')->fine(0.99949))->toBe('99.9¢')->and($in('USD')->fine(0.9995))->toBe('$1.00');
});

it('says of each crop what growing it keeps, shortfalls bought', function () {
    $result = Seasons::result(Seasons::demo());
    foreach ($result->crops as $crop) {
        $till = Till::ofCrop($crop, $result);
        if ($crop->grown && $crop->buy_cost !== null) {
            expect($till->keep)->toEqualWithDelta($crop->buy_cost - $crop->cost - $crop->shortfall_cost, 1e-6, $crop->id);
        }
    }
});

it('tells the days of a crowded place as one run', function () {
    $file = Seasons::small();
    foreach ($file['places'] as $i => $place) {
        $place['id'] !== 'room' ?: $file['places'][$i]['flats'] = 0.01;
    }
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $crowded = array_values(array_filter(BenchDays::fromBooks($books)[0]->crowded, fn (array $run): bool => $run['why'] === 'room'));
    $stages = $books->plans[0]->stages;
    expect($crowded)->toHaveCount(1)->and($crowded[0]['from'])->toBe(Day::ofNumber($stages[0]->start)->format())
        ->and($crowded[0]['to'])->toBe(Day::ofNumber($stages[1]->end - 1)->format());
});

it('feeds at the nearest whole number of days', function () {
    $file = Seasons::small();
    // 7 / 0.8 = 8.75: every nine days.
    $file['methods'][0]['stages'][1]['feeds_per_week'] = 0.8;
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $fed = array_values(array_filter((new Tasks($books))->all(), fn ($task): bool => $task->kind === TaskKind::Feed));
    $days = array_map(fn ($task): int => Day::parse($task->date)->number, $fed);
    expect($days[0] - $books->plans[0]->stages[1]->start)->toBe(9)->and($days[1] - $days[0])->toBe(9);
});

it('knows seed that no crop of the season uses', function () {
    $file = Seasons::small();
    $file['seed_lots'][] = ['id' => 'spare', 'packets_owned' => 1] + $file['seed_lots'][0];
    $season = Seasons::read($file);
    $left = array_column(Leftovers::fromBooks((new SeasonCosting($season))->books($season->setups[0]), []), null, 'id');
    expect([$left['lot']->served, $left['spare']->served])->toBe([true, false]);
});

it('lists pots in use and set-ups over the years as lists, whichever are left out', function () {
    $season = Seasons::read(Seasons::demo());
    $potting = Potting::fromBooks((new SeasonCosting($season))->books($season->setups[0]));
    foreach (get_object_vars($potting) as $key => $value) {
        is_array($value) && $value !== [] && is_object(reset($value)) ? expect(array_is_list($value))->toBeTrue($key) : null;
    }
    $years = (new YearsCosting($season, 2))->result($season->setups[2]->id)['setups'];
    expect(array_is_list($years))->toBeTrue()->and($years)->toHaveCount(1);
});

it('knows no money that is used nowhere any more', function () {
    $codes = array_column(Currency::all(), 'code');
    // The mark went out of use in 2002 (from memory); the euro took its place.
    expect($codes)->toContain('EUR', 'USD', 'JPY')->not->toContain('DEM')->not->toContain('FRF');
});

it('says that a number is from one\'s own test', function () {
    $document = json_decode(Seasons::json(Seasons::demo()));
    $lot = $document->seed_lots[0]->id;
    expect((new Origins($document))->origin(['seed_lots', $lot, 'test']))->toBe(['test', null])
        ->and((new Origins($document))->origin(['seed_lots', $lot, 'packed_for'])[0])->not->toBe('test');
});

it('explains heat that was credited, and the same plant grown', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $credited = $same = 0;
    foreach (SetupCosting::result($books)->crops as $crop) {
        if (! $crop->grown) {
            continue;
        }
        $terms = array_column((new CropWorkings($books, $crop))->explain('cost')->terms, 'value');
        expect(array_sum($terms))->toEqualWithDelta($crop->cost, 1e-6);
        $credited += min($terms) < 0.0 ? 1 : 0;
        if ($crop->buy_cost !== null) {
            $same++;
            $wanted = array_column($season->crops, 'wanted', 'id')[$crop->id];
            expect((new BuyingWorkings($books, $crop))->explain('same_each')->value)
                ->toEqualWithDelta(($crop->cost + $crop->shortfallBought()) / $wanted, 1e-9);
        }
    }
    expect($credited)->toBeGreaterThan(0)->and($same)->toBeGreaterThan(5);
});

it('says of the worst tenth of seasons how many were bad ones, and how many batches were lost', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $played = (new Simulation($costing->books($season->setups[0]), $costing->setup($season->setups[0])))->play(2000, 7);
    // Of all seasons the bad ones are a part, and batches are lost 3 times in 100: of the worst more.
    expect($played->made_bad['bad_season'])->toBeGreaterThan(0.3)->toBeLessThanOrEqual(1.0)
        ->and($played->made_bad['mishaps'])->toBeGreaterThan(0.2);
    // The crops that are short of most come first.
    $lost = array_column($played->bad, 'lost');
    $sorted = $lost;
    rsort($sorted);
    expect(count($lost))->toBeGreaterThan(2)->and($lost)->toBe($sorted)->and($lost[0])->toBeGreaterThan(end($lost));
});

it('puts a set-up that supplies the list before one that does not, room or not', function () {
    $file = Seasons::small();
    // Nobody sells it, so that a set-up that buys has none; the other grows it on too little room.
    $file['crops'][0]['nursery'] = [];
    foreach ($file['places'] as $i => $place) {
        $place['id'] !== 'room' ?: $file['places'][$i]['flats'] = 0.01;
    }
    $file['setups'][] = ['id' => 'none', 'method' => 'nursery'] + $file['setups'][0];
    $season = Seasons::read($file);
    [$crowded, $none] = array_map(fn ($setup): Standing => new Standing(new SeasonCosting($season), $setup), $season->setups);
    expect([$crowded->qualifies(), $crowded->hasRoom(), $none->qualifies(), $none->hasRoom()])->toBe([false, false, false, true])
        ->and($crowded->compare($none))->toBeLessThan(0)->and($none->compare($crowded))->toBeGreaterThan(0);
});

it('names for a crop the way that costs least, wherever it stands among the set-ups', function () {
    $file = Seasons::small();
    $file['crops'][0]['nursery'] = [];
    $file['supplies'][] = ['id' => 'twine', 'name' => 'Twine', 'unit' => 'each', 'pack_price' => 5, 'pack_amount' => 1];
    $file['methods'][] = ['id' => 'dear'] + $file['methods'][0];
    $file['methods'][1]['extras'][] = ['supply' => 'twine', 'amount' => 1, 'per' => 'crop'];
    [$cheap, $dear] = [$file['setups'][0], ['id' => 'dear', 'method' => 'dear'] + $file['setups'][0]];
    foreach ([[$cheap, $dear], [$dear, $cheap]] as $setups) {
        $costing = new SeasonCosting(Seasons::read(['setups' => $setups] + $file));
        expect(Comparison::forSeason($costing)->cheapest)->toBe(['lantern' => 'bench']);
    }
});

it('takes from what is left the seeds that were written down, not the plan\'s', function () {
    $file = Seasons::small();
    $file['seed_lots'][0]['packets_owned'] = 1;
    $season = Seasons::read($file);
    $log = Logs::book([['2027-04-10', 'sown', ['crop' => 'lantern', 'count' => 2, 'seeds' => 7]]]);
    $left = array_column(Leftovers::fromBooks((new SeasonCosting($season))->books($season->setups[0]), [], [], $log), null, 'id')['lot'];
    expect($left->used)->toBe(7.0)->and($left->before - $left->used)->toBe($left->left);
});

it('lets a count of seed stand where only something else was written down after it', function () {
    $file = Seasons::small();
    $file['seed_lots'][0]['packets_owned'] = 1;
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $log = Logs::book([['2027-04-10', 'sown', ['crop' => 'lantern', 'count' => 2, 'seeds' => 7]],
        ['2027-05-01', 'lost', ['crop' => 'lantern', 'count' => 1, 'cause' => 'gnats']]]);
    $left = Leftovers::fromBooks($books, [], [], $log);
    $seed = array_column($left, null, 'id')['lot'];
    $count = new HandCount('seed', $seed->name, (int) $seed->packed_for, 5.0, Day::parse('2027-04-20'));
    expect(array_column(HandCount::insteadOf($left, [$count], $books, [], $log), null, 'id')['lot']->left)->toBe(5.0);
});

it('looks no further ahead than ten years with a limit', function () {
    $small = escapeshellarg(__DIR__.'/../fixtures/one-crop.json');
    expect(jolly("budget {$small} --setup bench --limit 5 --seasons 11")[0])->toBe(2)->and(BudgetYears::MOST)->toBe(10);
});

/**
 * Keys of the season file of a kind, by list: "lights.price".
 *
 * @return list<string>
 */
function keysOfKind(string ...$kinds): array
{
    $found = [];
    $walk = function (mixed $node, array $path) use (&$walk, &$found, $kinds): void {
        if (! is_array($node)) {
            return;
        }
        in_array($node['x-kind'] ?? null, $kinds, true) && $found[] = implode('.', $path);
        foreach ($node['properties'] ?? [] as $key => $part) {
            $walk($part, [...$path, $key]);
        }
        array_map(fn (mixed $part) => $walk($part, $path), [$node['items'] ?? null, ...$node['anyOf'] ?? [], ...$node['oneOf'] ?? []]);
    };
    $walk(json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/Season/File/season.schema.json'), true), []);

    return array_values(array_unique($found));
}

it('weighs every price, every watt and every year of what a season uses, but for those named here', function () {
    $file = Seasons::demo();
    $file['setups'][0]['appliances'] = array_column($file['appliances'], 'id');
    $file['nursery_trip_cost'] = 6;
    $season = Seasons::read($file);
    $inputs = [];
    foreach ($season->setups as $setup) {
        foreach ((new Inputs($season, (new SeasonCosting($season))->books($setup)))->all() as [$path]) {
            $inputs[] = implode('.', array_values(array_filter([$path[0], count($path) > 2 ? $path[2] : $path[1] ?? null])));
        }
    }
    $not = [
        // What one's own hour is worth, and for what plants are sold, is for oneself to say and moves nothing that is paid.
        'hourly_value', 'crops.sale_price',
        // Parts of the price of a kilowatt-hour, which is weighed whole.
        'electricity.windows.rate', 'electricity.heat_credit.price_per_kwh',
        // Soap and water: cents.
        'containers.prep_cost_per_unit',
    ];
    $asked = array_diff([...keysOfKind('money', 'watts'), 'containers.life_seasons', 'trayware.life_seasons', 'lights.life_seasons',
        'mats.life_seasons', 'gear.life_seasons'], $not);
    expect($asked)->not->toBe([])->and(array_values(array_diff($asked, $inputs)))->toBe([]);
});

it('stretches every minute of a season when it took longer', function () {
    $file = Seasons::demo();
    foreach ($file['mixes'] as $i => $mix) {
        $file['mixes'][$i]['minutes_per_l'] = 1.5;
    }
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $log = Logs::book([['2027-10-16', 'reading', ['job' => 'season-hours', 'amount' => 99.0, 'unit' => 'h']]]);
    $edits = array_merge(...array_column((new Beliefs($books, $log, []))->all(), 'edits'));
    $keys = fn (array $path): array => array_filter($path, fn (int $at): bool => $at % 2 === 0, ARRAY_FILTER_USE_KEY);
    $stretched = array_map(fn (array $edit): string => implode('.', $keys($edit['path'])),
        $edits);
    expect(array_values(array_diff(keysOfKind('minutes'), $stretched)))->toBe([]);
});

it('shares the price of a kit by its packets to the last coin, and none with one\'s own seed', function (string $currency, float $price, array $shares) {
    $document = (object) ['currency' => $currency, 'seed_lots' => [
        (object) ['id' => 'a', 'seeds_per_packet' => 20], (object) ['id' => 'own', 'seeds_per_packet' => null], (object) ['id' => 'b', 'seeds_per_packet' => 30],
        (object) ['id' => 'c', 'seeds_per_packet' => 9], (object) ['id' => 'another', 'seeds_per_packet' => 9],
    ]];
    $edits = Kit::edits($document, ['a', 'own', 'b', 'c', 'nobody'], $price);
    expect(array_column(array_column($edits, 'path'), 1))->toBe(['a', 'b', 'c'])->and(array_column($edits, 'to'))->toEqual($shares)
        ->and(Kit::edits($document, ['own'], $price))->toBe([]);
})->with([['USD', 10.0, [3.34, 3.33, 3.33]], ['JPY', 1000.0, [334.0, 333.0, 333.0]], ['EUR', 0.0, [0.0, 0.0, 0.0]]]);
