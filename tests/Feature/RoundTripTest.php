<?php

declare(strict_types=1);

use App\Models\Season;
use App\Models\User;
use App\Seasons\SeasonShelf;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** File → database → file; the season read from both. */
function roundTrip(array $file): array
{
    $read = (new SeasonReader)->read(Seasons::json($file));
    $season = SeasonShelf::keep(User::query()->create(['trial' => true]), json_decode((new SeasonWriter)->toJson($read)));

    return [$read, (new SeasonReader)->readDocument(Season::query()->findOrFail($season->id)->document)];
}

it('keeps a season as it is', function (array $file) {
    [$before, $after] = roundTrip($file);
    expect($after)->toEqual($before)
        ->and(json_encode((new SeasonCosting($after))->result()))->toBe(json_encode((new SeasonCosting($before))->result()));
})->with([
    'the demo' => [fn () => Seasons::demo()],
    'one crop' => [fn () => Seasons::small()],
    'strange names and meta' => [function () {
        $file = Seasons::small();
        $file['seed_lots'][0]['variety'] = str_repeat("<b>ש'\"\\", 28);
        $file['meta'] = ['a' => [1, null, 2.5]];
        $file['crops'][0]['meta'] = ['note' => "line\nline"];

        return $file;
    }],
    'no crops' => [fn () => ['crops' => []] + Seasons::small()],
]);

it('keeps whole prices prices, and what is empty empty', function () {
    $document = json_decode(Seasons::json(Seasons::small()));
    $document->meta = json_decode('{"price":3.0,"count":3,"object":{},"list":[]}');
    $season = SeasonShelf::keep(User::query()->create(['trial' => true]), $document);
    expect(Season::query()->findOrFail($season->id)->document->meta)->toEqual($document->meta)->price->toBe(3.0)->count->toBe(3);
});

it('keeps generated seasons as they are', function () {
    for ($seed = 1; $seed <= 40; $seed++) {
        [$before, $after] = roundTrip((new SeasonGenerator($seed))->season());
        expect($after)->toEqual($before, "season {$seed}");
    }
});
