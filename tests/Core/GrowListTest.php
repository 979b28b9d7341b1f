<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\CropChoices;
use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\OwnSpecies;
use JollyPenny\Core\Plan\Drafting\PastedList;
use JollyPenny\Core\Plan\Drafting\ReadyMade;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Sowing\SaidAmount;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\SeasonReader;
use Tests\Seasons;

/** @return list<array{?int, ?string, string}> */
function pasted(string $text): array
{
    return array_map(
        fn ($line) => [$line->wanted, $line->species, $line->variety],
        (new PastedList($text, (new Catalogue())->species()))->lines,
    );
}

it('reads a list as people write it', function (string $text, array $lines) {
    expect(pasted($text))->toBe($lines);
})->with([
    'a sentence' => ['8 sweet pepper, 6 paste tomato, 24 lettuce', [[8, 'sweet_pepper', ''], [6, 'tomato', 'paste'], [24, 'lettuce', '']]],
    'a line each, bulleted' => ["- 12 x Zinnias\n- kale\n* 20 peas", [[12, 'zinnia', ''], [null, 'kale', ''], [20, 'pea', '']]],
    'spreadsheet cells' => ["Tomato\tSunday Sauce\t8\nOnions\t\t60\n", [[8, 'tomato', 'Sunday Sauce'], [60, 'onion', '']]],
    'the number last' => ['cherry tomatoes 4', [[4, 'cherry_tomato', '']]],
    'other names' => [
        '3 aubergines; 6 cukes; 10 spring onions; 4 scabiosa; 2 pak choy; 3 bells of Ireland',
        [[3, 'eggplant', ''], [6, 'cucumber', ''], [10, 'bunching_onion', ''], [4, 'scabious', ''], [2, 'pak_choi', ''], [3, 'bells_of_ireland', '']],
    ],
    'kinds that keep their name' => [
        '5 jalapeño peppers, 2 Habanero, 6 Red Habanero hot pepper',
        [[5, 'hot_pepper', 'jalapeño'], [2, 'chinense_pepper', 'Habanero'], [6, 'chinense_pepper', 'Red Habanero']],
    ],
    'a thousand' => ['1,200 lettuce', [[1200, 'lettuce', '']]],
    'what nobody knows' => ['4 moonfruit', [[4, null, 'moonfruit']]],
    'words for numbers' => ['Twelve kale, a dozen lettuce, half a dozen leeks', [[12, 'kale', ''], [12, 'lettuce', ''], [6, 'leek', '']]],
    'nothing' => [" \n, ;\t12,", []],
    'markup' => ['2 <b>Blaze</b> basil', [[2, 'basil', '<b>Blaze</b>']]],
    'too many plants' => ['9999999 kale', [[null, 'kale', '']]],
]);

it('adds what a list says, with seed and species, to a season that stays valid', function () {
    $draft = new SeasonDraft(SeasonDraft::object(Seasons::small()));
    $unknown = (new GrowList($draft))->addPasted("8 sweet pepper\n6 paste tomato\n24 lettuce\n3 moonfruit");
    $season = (new SeasonReader())->readDocument($draft->document);
    expect(array_map(fn ($line) => $line->variety, $unknown))
        ->toBe(['moonfruit'])
        ->and(array_map(fn ($crop) => $crop->wanted, $season->crops))
        ->toBe([3, 8, 6, 24])
        ->and($season->crops[3]->plantOutOffsetDays)
        ->toBe(-28)
        ->and(array_column($season->seedLots, 'variety'))
        ->toContain('paste')
        ->and(array_unique(array_column($season->crops, 'id')))
        ->toHaveCount(4);
});

it('takes a species of one\'s own to do what a relative does, but for what is said of it', function () {
    $draft = new SeasonDraft(SeasonDraft::object(Seasons::small()));
    $list = new GrowList($draft);
    $list->addSpecies('muskmelon');
    $crop = $list->addRelative(new OwnSpecies('Moonfruit', 'muskmelon', 4, days: 2.0 * $draft->catalogue->species()['muskmelon']->daysToEmerge, weeks: 7.0));
    $season = (new SeasonReader())->readDocument($draft->document);
    [, $melon, $own] = $season->species;
    foreach ($melon->germination as $at => $point) {
        expect($own->germination[$at]->days)
            ->toBe($point->days === null ? null : round($point->days * 2.0, 1))
            ->and($own->germination[$at]->percent)
            ->toBe($point->percent);
    }
    expect($own->name)
        ->toBe('Moonfruit')
        ->and($own->weeks)
        ->toBe(7.0)
        ->and($own->tender)
        ->toBe($melon->tender)
        ->and(array_column($season->crops, 'wanted', 'id')[$crop])
        ->toBe(4)
        ->and($draft->factsOf($draft->rows('crops')[2])?->id)
        ->toBe('muskmelon');
    // The next melon is a melon again.
    $list->addSpecies('muskmelon', 3, 'Another');
    expect($draft->rows('seed_lots')[3]->species)->toBe($melon->id);
    $list->addRelative(new OwnSpecies('Moonfruit', 'nothing'));
})->throws(NotInCatalogue::class);

it('grows for autumn what says so, where the first frost is known', function () {
    $draft = new SeasonDraft(SeasonDraft::object(['first_frost' => '2027-10-15'] + Seasons::small()));
    $asked = (new GrowList($draft))->addPasted("4 kale autumn\n30 carrots for fall\n6 napa cabbage\n3 fall tomatoes");
    $season = (new SeasonReader())->readDocument($draft->document);
    $crops = array_column($season->crops, null, 'id');
    // Days before the first frost: common practice, no source. Chinese cabbage runs to seed in spring, and is an autumn crop unasked.
    expect($crops['kale']->anchor->value)->toBe('first_frost')->and($crops['kale']->wanted)->toBe(4)
        ->and($crops['kale']->plantOutOffsetDays)->toBe(-60)
        ->and($crops['carrot']->bedSowOffsetDays)->toBe(-80)
        ->and($crops['chinese-cabbage']->anchor->value)->toBe('first_frost')
        ->and($crops['kale']->outdoorSowOffsetDays)->toBeNull()
        ->and(array_column($asked, 'question'))->toBe(['Tomato is no crop for the autumn. Add it for spring?']);
});

it('asks when the first frost is before it counts back from it', function () {
    $draft = new SeasonDraft(SeasonDraft::object(Seasons::small()));
    $asked = (new GrowList($draft))->addPasted('4 kale autumn');
    expect($asked)->toHaveCount(1)->and($asked[0]->question)->toContain('first frost')->and($asked[0]->species)->toBe('kale')
        ->and($draft->rows('crops'))->toHaveCount(1);
});

it('repeats a crop in rounds, raised alike', function () {
    $file = Seasons::demo();
    $draft = new SeasonDraft(json_decode(Seasons::json($file)));
    $crop = array_column($draft->rows('crops'), null, 'id')['glasshouse-bib'];
    $ids = (new GrowList($draft))->addRounds($crop, 14, 3);
    $season = (new SeasonReader())->readDocument($draft->document);
    $crops = array_column($season->crops, null, 'id');
    expect($ids)
        ->toHaveCount(3)
        ->and(array_map(fn ($id) => $crops[$id]->plantOutOffsetDays, $ids))
        ->toBe([-14, 0, 14])
        ->and($season->setups[0]->methodFor($ids[2]))
        ->toBe('cells-out');
});

it('understands how much to sow', function (string $words, ?int $sites, ?int $seeds) {
    $season = Seasons::read(Seasons::small());
    $said = SaidAmount::parse($words, 6, $season->seedLots[0], $season->methods[0], $season->containers[0]);
    expect([$said->sites, $said->seeds])->toBe([$sites, $seeds]);
})->with([
    ['nine for six', 9, null],
    ['9 cells for 6', 9, null],
    ['two rows', 12, null],
    ['one seed each', 6, null],
    ['40 seeds', null, 40],
    ['14 cells', 14, null],
    ['14', 14, null],
    ['a dozen', 12, null],
    ['half a dozen cells', 6, null],
    ['a tray', 6, null],
    ['By rule', null, null],
]);

it('means a proportion by "nine for six", whatever is wanted', function (string $words, int $wanted, int $sites) {
    $season = Seasons::read(Seasons::small());
    $said = SaidAmount::parse($words, $wanted, $season->seedLots[0], $season->methods[0], $season->containers[0]);
    expect($said->sites)->toBe($sites);
})->with([['nine for six', 240, 360], ['nine for six', 4, 6], ['3 for 2', 5, 8], ['two cells for one', 7, 14]]);

it('sows a packet as far as it goes, a seed over staying in it', function (int $packet, int $toACell, string $words, array $said) {
    $file = Seasons::small();
    $file['seed_lots'][0]['seeds_per_packet'] = $packet;
    $file['methods'][0]['seeds_per_site'] = $toACell;
    $season = Seasons::read($file);
    $amount = SaidAmount::parse($words, 6, $season->seedLots[0], $season->methods[0], $season->containers[0]);
    expect([$amount->sites, $amount->seeds])->toBe($said)
        ->and(($amount->sites ?? 0) * $toACell)->toBeLessThanOrEqual($packet);
})->with([[25, 2, 'the whole packet', [12, null]], [30, 1, 'the whole packet', [30, null]], [25, 2, 'half a packet', [6, null]]]);

it('counts seeds where many share a pot', function () {
    $file = Seasons::small();
    $file['methods'][0]['pattern'] = 'community';
    $season = Seasons::read($file);
    foreach (['one each' => 6, 'nine for six' => 9, 'the whole packet' => $file['seed_lots'][0]['seeds_per_packet']] as $words => $seeds) {
        $said = SaidAmount::parse($words, 6, $season->seedLots[0], $season->methods[0], $season->containers[0]);
        expect([$said->sites, $said->seeds])->toBe([null, $seeds]);
    }
});

it('says what can be said where it does not understand', function (string $words) {
    $season = Seasons::read(Seasons::small());
    SaidAmount::parse($words, 6, $season->seedLots[0], $season->methods[0], $season->containers[0]);
})
    ->with(['a lot', '0 cells', '9999999 rows', '-3'])
    ->throws(InvalidArgumentException::class);

it('makes a season from three answers that can be costed at once', function (array $have) {
    $document = Starter::season('First', Day::parse('2027-05-10'), 0.21, 'USD', false, $have);
    $draft = new SeasonDraft($document);
    (new GrowList($draft))->addPasted('6 tomato, 8 sweet pepper, 24 lettuce, 5 basil, 20 kale');
    $season = (new SeasonReader())->readDocument($document);
    foreach ((new SeasonCosting($season))->result()['setups'] as $setup) {
        expect($setup->missing)->toBeLessThan(0.5, $setup->id)->and($setup->cost)->toBeGreaterThan(0.0);
    }
    expect($season->electricity->rate)->toBe(0.21);
})->with([[[]], [['led', 'mat', 'shelf', 'trays']], [['old_lamp', 'saved_pots']], [['jugs']], [array_keys(Starter::THINGS)]]);

it('charges nothing for what is there already', function () {
    $costs = [];
    foreach ([[], ['led', 'mat', 'shelf', 'trays']] as $have) {
        $document = Starter::season('First', Day::parse('2027-05-10'), 0.21, 'USD', false, $have);
        (new GrowList(new SeasonDraft($document)))->addPasted('6 tomato');
        $setups = (new SeasonCosting((new SeasonReader())->readDocument($document)))->result()['setups'];
        $costs[] = array_column($setups, null, 'id')['trays-led-mat']->cash_now;
    }
    expect($costs[1])->toBeLessThan($costs[0] - 100);
});

it('assigns crops as suits them', function () {
    $document = Starter::season('First', Day::parse('2027-05-10'), 0.21, 'USD', false, []);
    $draft = new SeasonDraft($document);
    (new GrowList($draft))->addPasted('6 tomato, 6 kale, 3 pumpkin, 5 thyme, 20 carrot');
    $id = (new ReadyMade($draft))->add('trays_led_mat');
    $setup = array_column((new SeasonReader())->readDocument($document)->setups, null, 'id')[$id];
    expect([
        $setup->methodFor('tomato'),
        $setup->methodFor('kale'),
        $setup->methodFor('pumpkin'),
        $setup->methodFor('thyme'),
        $setup->methodFor('carrot'),
    ])->toBe(['cells-potted', 'cells-out', 'final-pot', 'clump', 'bed']);
});

it('adds every ready-made set-up to the demo', function () {
    foreach (array_keys((new Catalogue())->setups()) as $id) {
        $draft = new SeasonDraft(json_decode(Seasons::json(Seasons::demo())));
        $added = (new ReadyMade($draft))->add($id);
        $season = (new SeasonReader())->readDocument($draft->document);
        $setup = array_column($season->setups, null, 'id')[$added];
        $result = (new SeasonCosting($season))->setup($setup);
        // The demo has one crop that nobody sells.
        expect($result->missing)->toBeLessThan(
            in_array($id, ['buy_it_all', 'bed_where_it_works', 'jugs_tender_bought'], true) ? 80.0 : 1.0,
            $id,
        );
    }
});

it('costs the other ways of one crop as if they were chosen', function () {
    $season = Seasons::read(Seasons::demo());
    $methods = array_column((new CropChoices($season))->methods($season->setups[0], 'ink-pot'), null, 'id');
    expect(array_keys($methods))->toBe([...array_column($season->methods, 'id'), 'nursery']);
    $file = Seasons::demo();
    $file['setups'][0]['overrides']['ink-pot'] = 'blocks';
    $chosen = Seasons::result($file);
    expect($methods['blocks']->fill_cost)
        ->toBeNear($chosen->fill_cost)
        ->and($methods['blocks']->per_finished)
        ->toBeNear(array_column($chosen->crops, null, 'id')['ink-pot']->per_finished);
    $lots = array_column((new CropChoices($season))->lots($season->setups[0], 'copper-kettle'), null, 'id');
    expect(array_keys($lots))
        ->toBe(['tom-copper', 'tom-sauce'])
        ->and($lots['tom-sauce']->g)
        ->toBeLessThan($lots['tom-copper']->g);
});
