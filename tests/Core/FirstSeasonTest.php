<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\FirstList;
use JollyPenny\Core\Deciding\Advising\FirstPacks;
use JollyPenny\Core\Deciding\Advising\PackChanges;
use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\OtherCurrency;
use JollyPenny\Core\Plan\Drafting\ReadyMade;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Plan\Editing\Change;
use JollyPenny\Core\Plan\Editing\GoesAlong;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season;

const FIRST_LIST = '8 sweet pepper, 6 tomato, 24 lettuce, 4 cucumber, 12 zinnia, 30 bean, 40 corn, 10 parsnip';

/** Mean air by month in the north, and the last frost's month and day; invented climates. */
const CLIMATES = [
    'cold' => [[-8, -7, -3, 3, 9, 14, 17, 16, 10, 4, -2, -6], '06-05'],
    'temperate' => [[0, 1, 5, 9, 14, 18, 20, 19, 15, 10, 5, 1], '05-05'],
    'mild' => [[8, 9, 11, 13, 16, 19, 22, 22, 20, 16, 12, 9], '02-10'],
];

/** @param  list<string>  $have */
function firstSeason(array $have, string $climate, bool $south, bool $listFirst, bool $modelled): stdClass
{
    [$months, $frost] = CLIMATES[$climate];
    if ($south) {
        $months = [...array_slice($months, 6), ...array_slice($months, 0, 6)];
        [$month, $day] = explode('-', $frost);
        $frost = sprintf('%02d-%s', ((int) $month + 5) % 12 + 1, $day);
    }
    $document = Starter::season('First', Day::parse("2027-{$frost}"), 0.2, 'USD', false, $have);
    $draft = new SeasonDraft($document);
    if ($modelled) {
        $draft->rows('places');
        array_column($draft->rows('places'), null, 'id')['outside']->temp_c = $months;
    }
    $steps = [
        fn () => (new GrowList($draft))->addPasted(FIRST_LIST),
        function () use ($draft): void {
            foreach (array_keys($draft->catalogue->setups()) as $id) {
                in_array($id, array_map(SeasonDraft::markOf(...), $draft->rows('setups')), true) || (new ReadyMade($draft))->add($id);
            }
        },
    ];
    foreach ($listFirst ? $steps : array_reverse($steps) as $step) {
        $step();
    }

    return $document;
}

/** @return array<string, array<string, array{?string, list<float>, bool, bool}>> what each crop is raised in, by set-up */
function raisedIn(Season $season): array
{
    $methods = array_column($season->methods, null, 'id');
    $volumes = array_column($season->containers, 'volumeL', 'id');
    $raised = [];
    foreach ($season->setups as $setup) {
        foreach ($season->crops as $crop) {
            $method = $methods[$setup->methodFor($crop->id)] ?? null;
            $named = array_filter(array_column($method->stages ?? [], 'container'));
            $raised[$setup->name][$crop->id] = [$method?->name, array_map(fn (string $id): float => $volumes[$id], array_values($named)),
                $method !== null && $method->stages[0]->mat, $method !== null && $named === []];
        }
    }

    return $raised;
}

it('sows nothing to die, in every ready-made set-up, hemisphere and climate', function (array $have, string $climate, bool $south, bool $modelled) {
    $document = firstSeason($have, $climate, $south, true, $modelled);
    $season = (new SeasonReader())->readDocument($document);
    $frost = $season->lastFrost->number;
    foreach ((new SeasonCosting($season))->result()['setups'] as $result) {
        foreach ($result->crops as $i => $crop) {
            $where = "{$result->id} {$crop->id} ".implode(' ', $crop->warnings);
            expect(array_intersect($crop->warnings, ['too_cold', 'too_hot', 'frost', 'cannot_reach', 'no_light', 'no_mat', 'no_offer']))->toBe([], $where);
            if (! $crop->grown) {
                continue;
            }
            [$sown, $out] = [Day::parse($crop->sow_on)->number - $frost, Day::parse($crop->plant_out_on)->number - $frost];
            // Common practice, no source: nothing is started over four months before the frost, nor a month and a half after it;
            // tender plants go out, and come up in the open, after it.
            expect($sown)->toBeGreaterThan(-125, $where)->toBeLessThan(45, $where)->and($out)->toBeLessThan(110, $where);
            $species = array_column($season->species, null, 'id')[array_column($season->seedLots, null, 'id')[$season->crops[$i]->lot]->species];
            if ($species->tender) {
                expect($out)->toBeGreaterThanOrEqual(0, $where);
            }
        }
    }
})->with([
    'nothing' => [[]],
    'lamp, mat, trays' => [['led', 'mat', 'shelf', 'trays']],
    'old lamp, pots, jugs' => [['old_lamp', 'saved_pots', 'jugs']],
    'everything' => [array_keys(Starter::THINGS)],
])->with(array_keys(CLIMATES))->with(['north' => false, 'south' => true])->with(['outdoors unknown' => false, 'outdoors known' => true]);

it('gives each crop what it wants, whatever comes first', function (array $have, bool $listFirst) {
    $season = (new SeasonReader())->readDocument(firstSeason($have, 'temperate', false, $listFirst, false));
    foreach (raisedIn($season) as $setup => $crops) {
        // Common practice, no source: corn and beans into the ground, or bought; parsnips into the ground or a tube; a cucumber into a pot
        // of its own, and never potted on; lettuce never potted on.
        foreach (['snap-bean', 'sweet-corn'] as $crop) {
            expect($crops[$crop][0] === null || $crops[$crop][3])->toBeTrue("{$setup}: {$crop}");
        }
        expect($crops['parsnip'][3] || str_contains((string) $crops['parsnip'][0], 'tube'))->toBeTrue($setup)
            ->and($crops['lettuce'][0] === null || count($crops['lettuce'][1]) <= 2)->toBeTrue($setup)
            ->and(array_sum(array_slice($crops['lettuce'][1], 1)))->toBeLessThan(0.1, "{$setup}: lettuce is not potted on")
            ->and(count($crops['cucumber'][1]))->toBeLessThanOrEqual(1, $setup)
            ->and($crops['cucumber'][1][0] ?? 1.0)->toBeGreaterThan(0.1, $setup);
        $lit = array_column($season->setups, null, 'name')[$setup]->mats !== [];
        expect($crops['sweet-pepper'][0] === null || $crops['sweet-pepper'][2] === $lit)->toBeTrue("{$setup}: peppers on the mat where there is one");
    }
})->with([[[]], [['led', 'mat', 'shelf', 'trays']], [['saved_pots', 'jugs']], [['mat']], [array_keys(Starter::THINGS)]])->with([true, false]);

it('comes to the same, whether the list or the set-ups came first', function () {
    $marks = function (bool $listFirst): array {
        $season = (new SeasonReader())->readDocument(firstSeason(['led', 'jugs'], 'cold', false, $listFirst, false));

        return raisedIn($season);
    };
    expect($marks(true))->toEqual($marks(false));
});

it('uses what is ticked first, and buys no lasting thing for it', function (array $have) {
    $season = (new SeasonReader())->readDocument(firstSeason($have, 'temperate', false, true, false));
    $own = $season->setups[0];
    $owned = fn (array $rows): array => array_column(array_filter($rows, fn ($row) => $row->owned), 'id');
    expect($own->name)->toBe('With what you have')
        ->and($own->lights)->toBe($owned($season->lights))
        ->and($own->mats)->toBe($owned($season->mats))
        ->and($own->gear)->toBe($owned($season->gear));
    $result = (new SeasonCosting($season))->setup($own);
    foreach ($result->shopping as $line) {
        expect($line->cost > 0.0 && in_array($line->kind, ['container', 'trayware', 'light', 'mat', 'appliance', 'gear'], true))
            ->toBeFalse("{$line->kind} {$line->id}");
    }
})->with([[[]], [['led']], [['mat']], [['trays']], [['led', 'mat', 'shelf', 'trays']], [['old_lamp', 'saved_pots', 'jugs']], [array_keys(Starter::THINGS)]]);

it('names no two set-ups alike', function () {
    $draft = new SeasonDraft(firstSeason([], 'temperate', false, true, false));
    (new ReadyMade($draft))->add('trays_led_mat');
    (new ReadyMade($draft))->add('trays_led_mat');
    $names = array_map(fn ($row) => $row->name, $draft->rows('setups'));
    expect(array_unique($names))->toHaveCount(count($names))->and($names)->toContain('Durable trays under LED, with a mat (3)');
});

it('has the prices of the country, in steps as shops there write them', function (string $currency, float $step, float $least, float $most) {
    $document = Starter::season('First', Day::parse('2027-05-05'), 0.2, $currency, true, ['led', 'mat', 'trays']);
    $prices = [];
    foreach (['supplies' => 'pack_price', 'lights' => 'price', 'nursery' => 'price', 'mats' => 'price'] as $list => $key) {
        foreach ($document->{$list} as $row) {
            $prices[] = $row->{$key};
        }
    }
    foreach ($prices as $price) {
        expect(abs($price / $step - round($price / $step)))->toBeLessThan(1e-6, "{$currency} {$price}");
    }
    // Purchasing power parities for household consumption, OECD, 2022, from memory: dollars of the catalogue times the parity.
    $lamp = array_column($document->lights, 'price', 'id')['led-shop'];
    expect($lamp)->toBeGreaterThan(31 * $least)->toBeLessThan(31 * $most);
})->with([['USD', 0.01, 0.99, 1.01], ['GBP', 0.05, 0.6, 0.8], ['JPY', 10, 90, 110], ['CHF', 0.05, 1.0, 1.3], ['SEK', 1, 8, 10]]);

it('refuses money it knows no prices in', function () {
    Starter::season('First', Day::parse('2027-05-05'), 0.2, 'XTS', true, []);
})->throws(JollyPenny\Core\Season\Catalogue\NotInCatalogue::class);

it('plans with the packs that come to least for the first list', function (string $list) {
    $draft = new SeasonDraft(Starter::season('First', Day::parse('2027-05-10'), 0.2, 'USD', false, ['led', 'trays']));
    (new GrowList($draft))->addPasted($list);
    $before = (new SeasonReader())->readDocument($draft->document);
    $setup = $before->setups[0];
    $cash = fn (Season $season): float => (new SeasonCosting($season))->setup($setup)->cash_now;
    $edits = FirstPacks::forDraft($draft);
    $after = (new Altered($before))->with($edits);
    $edits === [] ? expect($cash($after))->toBe($cash($before)) : expect($cash($after))->toBeLessThan($cash($before));
    // No other pack of any supply asks less without making the plants dearer.
    $cost = fn (Season $season): float => (new SeasonCosting($season))->setup($setup)->cost;
    expect($cost($after))->toBeLessThanOrEqual($cost($before) + 1e-9);
    foreach ((new PackChanges((new SeasonCosting($after))->books($setup)))->all() as $change) {
        $other = (new Altered($after))->with($change->edits);
        $change->kind !== 'pack' || $cost($other) > $cost($after) + 1e-9 ?: expect($cash($other))->toBeGreaterThanOrEqual($cash($after) - 1e-9);
    }
    expect(array_unique(array_map(fn (array $edit): string => (string) $edit['path'][0], $edits)))->toBeIn([[], ['supplies']]);
})->with(['2 tomato', '40 tomato, 60 lettuce', '400 tomato, 200 lettuce, 100 zinnia']);

it('buys a bigger bag for more plants', function () {
    $bag = function (string $list): float {
        $draft = new SeasonDraft(Starter::season('First', Day::parse('2027-05-10'), 0.2, 'USD', false, ['led', 'trays']));
        (new GrowList($draft))->addPasted($list);
        $season = (new Altered((new SeasonReader())->readDocument($draft->document)))->with(FirstPacks::forDraft($draft));

        return array_column($season->supplies, 'packAmount', 'id')['starter'];
    };
    expect($bag('600 tomato'))->toBeGreaterThan($bag('2 tomato'));
});

it('puts a season into other money: one\'s own prices at the rate, the catalogue\'s as they are usual there', function () {
    $document = Starter::season('Money', Day::parse('2027-05-15'), 0.18, 'USD', true, ['led']);
    FirstList::add($document, '8 tomato');
    $before = unserialize(serialize($document));
    $document->seed_lots[0]->packet_price = 2.0;
    $document->hourly_value = 15.0;
    $document->electricity->windows = [(object) ['from' => '22:00', 'to' => '06:00', 'rate' => 0.1]];
    $pot = array_key_first(array_filter($document->supplies, fn (stdClass $row): bool => ($row->meta->catalogue ?? null) !== null && $row->pack_price > 0));
    foreach (OtherCurrency::edits($document, 'GBP', 0.75) as ['path' => $path, 'to' => $to]) {
        foreach (GoesAlong::with($document, new Change(new DocumentPath($path), null, $to)) as $change) {
            $change->path->set($document, $change->to, $change->at);
        }
    }
    $usual = (new SeasonDraft($document))->cataloguePrice('supplies', $document->supplies[$pot], 'pack_price');
    expect($document->currency)->toBe('GBP')->and($document->seed_lots[0]->packet_price)->toBe(1.5)->and($document->hourly_value)->toBe(11.25)
        ->and($document->electricity->rate)->toBe(0.135)->and($document->electricity->windows[0]->rate)->toBe(0.075)
        ->and($document->supplies[$pot]->pack_price)->toBe($usual)
        ->and($document->crops[0]->wanted)->toBe($before->crops[0]->wanted)
        ->and($document->lights[0]->watts)->toBe($before->lights[0]->watts);
    // A currency without small coins has none afterwards.
    [$before->seed_lots[0]->packet_price, $before->hourly_value] = [2.0, 15.0];
    $yen = OtherCurrency::edits($before, 'JPY', 150.4);
    foreach ($yen as ['path' => $path, 'to' => $to]) {
        is_float($to) && expect($to)->toBe(round($to), implode('.', $path));
    }
    expect(count($yen))->toBeGreaterThan(2);
});
