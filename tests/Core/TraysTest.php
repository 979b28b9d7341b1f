<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Trays\Grid;
use JollyPenny\Core\Living\Trays\TrayMoves;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Things\Container;
use Tests\Logs;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** @return list<TrayPicture> */
function traysOf(array $file, ?LogBook $log = null, int $setup = 0): array
{
    $season = Seasons::read($file);

    return (new Trays((new SeasonCosting($season))->books($season->setups[$setup]), $log ?? new LogBook([])))->pictures();
}

/** @return array<string, string> codes by crop and stage */
function codes(array $trays): array
{
    $codes = [];
    foreach ($trays as $tray) {
        foreach ($tray->runs as $run) {
            $codes["{$run->crop} {$run->stage}"][] = "{$run->code}:{$run->sites}";
        }
    }

    return array_map(fn (array $some): string => implode(' ', $some), $codes);
}

it('lays sites in rows as trays have them', function (int $sites, int $columns, int $rows) {
    $grid = Grid::forContainer(new Container('c', 'C', $sites, 1.0, 0.04, 0.001, 1.0));
    expect([$grid->columns, $grid->rows])->toBe([$columns, $rows]);
})->with([
    // Trays of these sizes; 162 cells stand in rows of nine. Common practice, no source.
    [72, 6, 12], [128, 8, 16], [200, 10, 20], [50, 5, 10], [162, 9, 18], [24, 4, 6],
    // Packs and single pots go by tens; what no two numbers multiply to has a short last row.
    [6, 6, 10], [1, 5, 2], [23, 3, 8],
]);

it('puts every site that is sown into one row of one tray, and nothing over another', function () {
    for ($seed = 95_000; $seed < 95_060; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        foreach ($season->setups as $setup) {
            $books = (new SeasonCosting($season))->books($setup);
            $placed = [];
            foreach ((new Trays($books, new LogBook([])))->pictures() as $tray) {
                foreach ($tray->runs as $run) {
                    $sown = $run->unit === 'seeds' ? $run->count_of : $run->sites * $run->seeds_per_site;
                    expect($run->seeds)->toBe($run->stage === 0 ? $sown : 0);
                }
                $taken = [];
                $together = [];
                foreach ($tray->runs as $run) {
                    $placed["{$run->crop} {$run->stage}"] = ($placed["{$run->crop} {$run->stage}"] ?? 0) + $run->sites;
                    expect($run->sites)->toBeLessThanOrEqual($run->rows * $tray->columns)->toBeGreaterThan(($run->rows - 1) * $tray->columns);
                    for ($row = $run->row; $row < $run->row + $run->rows; $row++) {
                        expect(isset($taken[$row]))->toBeFalse()->and($row)->toBeLessThanOrEqual($tray->rows);
                        $taken[$row] = true;
                    }
                    $stage = $books->plans[$books->grown[$run->crop]]->stages[$run->stage];
                    $together[] = [$stage->container->id, $stage->place->id, $stage->stage->mat, $stage->stage->light];
                }
                expect(array_unique($together, SORT_REGULAR))->toHaveCount(1);
            }
            $wanted = [];
            foreach ($books->plans as $plan) {
                foreach ($plan->stages as $i => $stage) {
                    if ($stage->fills() && $stage->container !== null) {
                        $wanted["{$plan->crop->id} {$i}"] = $stage->sites;
                    }
                }
            }
            ksort($placed);
            ksort($wanted);
            expect($placed)->toBe($wanted);
        }
    }
});

it('keeps what was sown where it was sown, in that number, and what was laid out by hand', function () {
    $file = Seasons::demo();
    expect(codes(traysOf($file))['copper-kettle 0'])->toBe('D5–6:12');
    $file['trays'] = [['id' => 'T', 'container' => 'cell72', 'runs' => [['crop' => 'copper-kettle', 'row' => 11, 'sites' => 12]]]];
    expect(codes(traysOf($file))['copper-kettle 0'])->toBe('T11–12:12');
    $log = Logs::book([['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'tray' => 'Q', 'row' => 2, 'count' => 9, 'seeds' => 18]]]);
    expect(codes(traysOf($file, $log))['copper-kettle 0'])->toBe('Q2–3:9');
    // Moved after it was sown it stands where it was moved; laid out before, where it was sown.
    foreach (['2027-04-13T08:00:00Z' => 'T11–12:9', '2027-04-11T08:00:00Z' => 'Q2–3:9'] as $at => $code) {
        $file['trays'][0]['runs'][0]['at'] = $at;
        expect(codes(traysOf($file, $log))['copper-kettle 0'])->toBe($code);
    }
    // Another letter is given to nobody else.
    expect(array_column(traysOf($file, $log), 'id'))->toContain('Q')->and(array_unique(array_column(traysOf($file, $log), 'id')))
        ->toHaveCount(count(traysOf($file, $log)));
});

it('keeps a row for labels where that is wanted', function () {
    $file = Seasons::demo();
    $file['meta'] = ['trays' => ['label_row' => true]];
    foreach (traysOf($file) as $tray) {
        if (! $tray->by_tens) {
            expect($tray->label_row)->toBeTrue()->and(min(array_column($tray->runs, 'row')))->toBeGreaterThan(1);
        }
    }
});

it('shows what is left in a tray when some is lost, and nothing once all is moved on', function () {
    $file = Seasons::demo();
    $entries = [
        ['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'tray' => 'D', 'row' => 7, 'count' => 12, 'seeds' => 24]],
        ['2027-04-20', 'up', ['crop' => 'copper-kettle', 'tray' => 'D', 'count' => 11]],
        ['2027-04-25', 'lost', ['crop' => 'copper-kettle', 'tray' => 'D', 'count' => 2, 'cause' => 'gnats']],
    ];
    $row = fn (array $entries, int $stage) => array_values(array_filter(
        array_merge(...array_column(traysOf($file, Logs::book($entries)), 'runs')),
        fn ($run) => $run->crop === 'copper-kettle' && $run->stage === $stage,
    ))[0];
    expect([$row($entries, 0)->up, $row($entries, 0)->plants, $row($entries, 0)->left])->toBe([11, 9, false]);
    $entries[] = ['2027-05-09', 'potted_on', ['crop' => 'copper-kettle', 'count' => 7, 'job' => 'copper-kettle-stage-2']];
    expect($row($entries, 0)->left)->toBeTrue()->and([$row($entries, 2)->sites, $row($entries, 2)->plants])->toBe([7, 7]);
});

it('lays out no more trays than somebody could label, however many were written down', function () {
    $season = Seasons::read(Seasons::demo());
    $log = Logs::book([['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'count' => 1_000_000]]]);
    $trays = new Trays((new SeasonCosting($season))->books($season->setups[0]), $log);
    $laid = array_sum(array_map(fn ($run) => $run->crop === 'copper-kettle' && $run->stage === 0 ? $run->sites : 0,
        array_merge(...array_column($trays->pictures(), 'runs'))));
    expect(count($trays->pictures()))->toBe(Trays::MOST)->and($trays->notLaidOut())->toBeGreaterThanOrEqual(1_000_000 - $laid);
});

it('moves rows by hand, pushes aside what stands there, and says where there is no room', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $after = function (array $edits) use ($season): array {
        $file = json_decode((new JollyPenny\Core\Season\File\SeasonWriter)->toJson($season), true);
        $file['trays'] = json_decode((string) json_encode(array_column($edits, 'to')), true);

        return codes(traysOf($file));
    };
    $moves = new TrayMoves($books, (new Trays($books, new LogBook([])))->pictures());
    $moved = $after($moves->moved('D', 7, 'E', 1, '2027-05-01T08:00:00Z'));
    expect($moved['sunday-sauce 0'])->toBe('E1–3:18')->and($moved['paint-box 0'])->toContain('E4–8:30');
    expect($after($moves->moved('D', 7, 'D', 1, '2027-05-01T08:00:00Z'))['sunday-sauce 0'])->toBe('D1–3:18')
        ->and($after($moves->moved('D', 7, 'D', 1, '2027-05-01T08:00:00Z'))['ink-pot 0'])->toBe('D4–5:12');
    // Kept as it is, it stays as it is.
    expect($after($moves->kept([])))->toEqual(codes(traysOf(Seasons::demo())));
    expect(fn () => $moves->moved('D', 7, 'A', 1, '2027-05-01T08:00:00Z'))->toThrow(InvalidArgumentException::class, 'no room')
        ->and(fn () => $moves->moved('D', 2, 'E', 1, '2027-05-01T08:00:00Z'))->toThrow(InvalidArgumentException::class, 'Nothing begins')
        ->and(fn () => $moves->moved('D', 7, 'F', 1, '2027-05-01T08:00:00Z'))->toThrow(InvalidArgumentException::class, 'another kind')
        ->and(fn () => $moves->columns('F', 3, '2027-05-01T08:00:00Z'))->toThrow(InvalidArgumentException::class, 'by tens');
    expect($after($moves->columns('D', 12, '2027-05-01T08:00:00Z'))['ink-pot 0'])->toBe('D1:12');
});
