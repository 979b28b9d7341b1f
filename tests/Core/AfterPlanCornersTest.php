<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Shopping\FirstDays;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\SowAgain\Sowings;
use JollyPenny\Core\Living\State\BoughtSeason;
use JollyPenny\Core\Living\State\LivedSeason;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Tasks\Session;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Showing\Labels\Label;
use JollyPenny\Core\Showing\Labels\LabelSheet;
use Tests\Seasons;

// Corners of what follows the plan that no other test comes to.

/** @param  array<string, mixed>  $facts */
function entryOf(string $kind, string $on, array $facts = []): LogEntry
{
    static $n = 0;
    $n++;

    $entry = $facts + ['id' => sprintf('corner-%04d', $n), 'on' => $on, 'at' => "{$on}T08:00:00Z", 'kind' => $kind];

    return (new RowReader())->read(LogEntry::class, (object) $entry);
}

/** @return array{Season, SeasonCosting} */
function smallSeason(array $change = []): array
{
    $season = Seasons::read($change + Seasons::small());

    return [$season, new SeasonCosting($season)];
}

it('names the year of seed on a label and at the sowing, once it is older than the season', function (int $packed, ?int $said) {
    $file = Seasons::small();
    $file['seed_lots'][0]['packed_for'] = $packed;
    [$season, $costing] = smallSeason($file);
    $books = $costing->books($season->setups[0]);
    $log = new LogBook([]);
    $labels = Label::ofTrays((new Trays($books, $log))->pictures(), $books, $log);
    expect($labels)->not->toBe([])->and($labels[0]->packed_for)->toBe($said);
    $sow = array_values(array_filter((new Jobs($books, $log))->all(), fn ($job): bool => $job->id === 'lantern-sow'))[0];
    $said === null ? expect((string) $sow->detail)->not->toContain('seed of') : expect($sow->detail)->toContain("seed of {$said}");
})->with([[2027, null], [2026, 2026], [2024, 2024]]);

it('has sheets of sticks and sheets of stickers', function () {
    expect(array_unique(array_column(LabelSheet::all(), 'stick')))->toEqualCanonicalizing([true, false]);
    foreach (LabelSheet::all() as $sheet) {
        expect($sheet->stick)->toBe(str_contains(mb_strtolower($sheet->name), 'stick') && ! str_contains(mb_strtolower($sheet->name), 'sticker'));
    }
});

it('has what was bought, of every kind, and owns nothing that was not', function (ThingKind $kind) {
    $season = Seasons::read(Seasons::demo());
    $rows = array_values(array_filter($kind->rows($season), fn (object $row): bool => ! (property_exists($row, 'owned') && $row->owned)));
    if ($rows === []) {
        // All of the demo's are owned: one that is not, then.
        $file = Seasons::demo();
        $file[$kind->list()][0]['owned'] = false;
        $season = Seasons::read($file);
        $rows = [$kind->rows($season)[0]];
    }
    $row = $rows[0];
    $stock = fn (Season $of): array => array_map(fn (object $one): mixed => match ($kind->stockKey()) {
        'packets_owned' => $one->packetsOwned, 'in_stock' => $one->inStock, 'owned_units' => $one->ownedUnits, default => $one->owned,
    }, array_column($kind->rows($of), null, 'id'));
    $each = match ($kind) {
        ThingKind::Supply => $row->usablePerPack(), ThingKind::Container => $row->unitsPerPack, default => 1,
    };
    $packs = $kind->isEquipment() ? 1 : 2;
    $after = BoughtSeason::withPurchases($season, [new Purchase(
        id: 'p',
        kind: $kind->value,
        thing: $row->id,
        name: 'x',
        packs: $packs,
        paid: 7.5,
        on: '2027-03-01',
        shop: '',
        note: '',
    )]);
    $expected = $stock($season);
    $expected[$row->id] = $kind->isEquipment() ? true : $expected[$row->id] + 2 * $each;
    expect($stock($after->season))->toEqual($expected)->and($after->paid)->toBe(7.5)
        ->and($stock(BoughtSeason::withPurchases($season, [])->season))->toEqual($stock($season));
})->with(ThingKind::kept());

it('keeps the jobs of what was sown where the rules would give none', function () {
    // Sown in November nothing would come up within 120 days; sown it was, all the same.
    $file = Seasons::small();
    $file['places'][1]['temp_c'] = [-5, -4, 6, 14, 18, 20, 22, 21, 17, 12, 5, 0];
    $file['methods'][0]['stages'] = [['name' => 'In the yard', 'place' => 'yard', 'container' => 'cell', 'mix' => 'starter',
        'days' => 'emergence', 'extra_days' => 20,
        'survival' => 0.9]];
    [$season, $costing] = smallSeason($file);
    $setup = $season->setups[0];
    $planned = $costing->books($setup);
    expect($planned->grown)->toHaveKey('lantern');
    $log = new LogBook([entryOf('sown', '2026-11-01', ['crop' => 'lantern', 'count' => 4])]);
    $alone = new SeasonCosting($season->with(crops: [$season->crops[0]->with(sowOn: Day::parse('2026-11-01'))]));
    $lived = LivedSeason::books($costing, $setup, $log);
    expect($alone->books($setup)->grown)->toBe([])->and($lived->grown)->toHaveKey('lantern')
        ->and((new Jobs($lived, $log->inSetup($lived)))->all())->not->toBe([]);
});

it('takes a reading for sense up to its bounds, and not beyond', function (DeviceKind $kind, float $value, bool $isSense) {
    expect($kind->isSense($value))->toBe($isSense);
})->with([
    [DeviceKind::Meter, 0.0, true], [DeviceKind::Meter, -0.1, false], [DeviceKind::Meter, 4000.0, true], [DeviceKind::Meter, 4000.1, false],
    [DeviceKind::Soil, -40.0, true], [DeviceKind::Soil, -40.1, false], [DeviceKind::Air, 80.0, true], [DeviceKind::Air, 80.1, false],
]);

it('lets one sow again until two weeks after the plan, and shows none, half, enough and half more', function () {
    [$season, $costing] = smallSeason(['crops' => [['wanted' => 12] + Seasons::small()['crops'][0]]]);
    $sowings = new Sowings($costing, $season->setups[0]);
    $plan = $costing->books($season->setups[0])->plans[0];
    $again = $sowings->again('lantern', 2, null, null, '2027-04-20');
    expect($again?->until)->toBe(Day::ofNumber($plan->sowOn() + 14)->format())->and($again?->more)->toBeGreaterThan(3);
    $more = (int) $again?->more;
    expect(array_column($again->ways ?? [], 'more'))->toBe([0, intdiv($more, 2), $more, $more + intdiv($more, 2)])
        ->and($sowings->again('lantern', 2, null, null, Day::ofNumber($plan->sowOn() + 14)->format())?->too_late)->toBeFalse()
        ->and($sowings->again('lantern', 2, null, null, Day::ofNumber($plan->sowOn() + 15)->format())?->too_late)->toBeTrue();
    // Where all are up nothing more is sown, and nothing is shown twice.
    $none = $sowings->again('lantern', $plan->sowing->sites, null, null, '2027-04-20');
    expect($none?->more)->toBe(0)->and(array_column($none->ways ?? [], 'more'))->toBe([0, 1]);
});

it('names a few, and says how many more there are', function () {
    expect(Session::list(['A']))->toBe('A')->and(Session::list(['A', 'B']))->toBe('A and B')
        ->and(Session::list(['A', 'B', 'C', 'D', 'E']))->toBe('A, B, C, D and E')
        ->and(Session::list(['A', 'B', 'C', 'D', 'E', 'F']))->toBe('A, B, C, D and 2 more');
});

it('needs feed from the first stage that is fed, and of each thing every crop that uses it', function () {
    $file = Seasons::small();
    $file['crops'][] = ['id' => 'second'] + $file['crops'][0];
    [$season, $costing] = smallSeason($file);
    $books = $costing->books($season->setups[0]);
    $days = new FirstDays($books);
    expect($days->day('supply', 'feed'))->toBe($books->plans[0]->stages[1]->start)->and($days->crops('supply', 'feed'))->toBe(['lantern', 'second']);
    $file['methods'][0]['stages'][1]['feeds_per_week'] = 0;
    [$season, $costing] = smallSeason($file);
    expect((new FirstDays($costing->books($season->setups[0])))->day('supply', 'feed'))->toBeNull();
});

it('counts one by one only what some set-up raises one by one', function () {
    $file = Seasons::small();
    $log = fn (): LogBook => new LogBook([entryOf('sown', '2027-04-10', ['crop' => 'lantern', 'count' => 2, 'seeds' => 9]),
        entryOf('up', '2027-04-20', ['crop' => 'lantern', 'count' => 5])]);
    // Two cells cannot hold five; where every set-up buys the crop, nobody knows how it was sown.
    expect($log()->inSeason(smallSeason($file)[0])->marked)->not->toBe([]);
    $file['setups'][0]['method'] = 'nursery';
    expect($log()->inSeason(smallSeason($file)[0])->marked)->toBe([]);
});
