<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use Tests\Seasons;

it('changes a season as an edit of its file does, and reads nothing that no edit touches', function (array $edits, string $list) {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $document = json_decode((string) json_encode($file, JSON_PRESERVE_ZERO_FRACTION));
    foreach ($edits as ['path' => $path, 'to' => $to]) {
        (new DocumentPath($path))->set($document, $to);
    }
    $altered = new Altered($season);
    $one = $altered->with($edits);
    expect($one)->toEqual((new SeasonReader)->trusted($document))
        // Another change goes on from the season, not from the one before.
        ->and($altered->with([['path' => ['name'], 'to' => 'Other']]))->toEqual($season->with(name: 'Other'));
    $before = array_column($season->{$list}, null, 'id');
    $touched = array_flip(array_column(array_column($edits, 'path'), 1));
    $same = 0;
    foreach ($one->{$list} as $row) {
        isset($touched[$row->id]) || expect($row)->toBe($before[$row->id]) && $same++;
    }
    expect($same)->toBeGreaterThan(1);
})->with([
    'a number of a row' => [[['path' => ['crops', 'copper-kettle', 'wanted'], 'to' => 9]], 'crops'],
    'deep in a method' => [[['path' => ['methods', 'cells-pots', 'stages', 1, 'survival'], 'to' => 0.5]], 'methods'],
    'a row taken out' => [[['path' => ['lights', 'led'], 'to' => null], ['path' => ['setups', 'bench', 'lights'], 'to' => []]], 'setups'],
    'a row more' => [[['path' => ['crops', 'more'], 'to' => (object) ['id' => 'more', 'lot' => 'egg', 'wanted' => 3, 'plant_out_offset_days' => 4]]], 'crops'],
    'a key that is no list' => [[['path' => ['electricity', 'rate'], 'to' => 0.3], ['path' => ['hourly_value'], 'to' => 11]], 'crops'],
    'a key that was not there' => [[['path' => ['mishap'], 'to' => 0.2], ['path' => ['crops', 'ink-pot', 'sow_on'], 'to' => '2027-04-01']], 'crops'],
]);

it('costs a changed season with what it shares as it does without', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    // What is shared has to be there first.
    $costing->result();
    $edits = [
        ['crops', 'copper-kettle', 'wanted', 9],
        ['methods', 'cells-pots', 'stages', 1, 'survival', 0.5],
        ['methods', 'cells-pots', 'seeds_per_site', 3],
        ['seed_lots', 'egg', 'packed_for', 2024],
        ['seed_lots', 'egg', 'seeds_per_packet', 7],
        ['mixes', 'two-one', 'shrinkage', 0.4],
        ['mix_overage', 0.5],
        ['feed', 'dose_per_l', 0.1],
        ['supplies', 'fish', 'pack_price', 90],
        ['containers', 'cell72', 'volume_l', 0.2],
        ['places', 'bench', 'temp_c', 12],
        ['lights', 'led', 'watts', 200],
        ['species', 'tomato', 'days_to_emerge', 20],
        ['mishap', 0.3],
        ['last_frost', '2027-06-20'],
    ];
    $moved = 0;
    foreach ($edits as $edit) {
        $to = array_pop($edit);
        $changed = (new Altered($season))->with([['path' => $edit, 'to' => $to]]);
        $alone = (new SeasonCosting($changed))->setup($changed->setups[0]);
        expect((new SeasonCosting($changed, $costing, [$edit[0]]))->setup($changed->setups[0]))->toEqual($alone, implode('.', $edit));
        $alone == $costing->setup($season->setups[0]) ?: $moved++;
    }
    expect($moved)->toBeGreaterThan(11);
});
