<?php

declare(strict_types=1);

use App\Models\Season;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FullGarden;
use Tests\FeatureTestCase;

/** A body that the route takes, where one made from its description alone would be refused before anything is looked for. */
const BODIES = [
    'PATCH /api/seasons/{season}' => ['changes' => [['path' => ['name'], 'from' => 'a', 'to' => 'b']]],
    'POST /api/seasons/{season}/crops/{crop}/rounds' => ['every_days' => 7, 'times' => 2],
    'PUT /api/seasons/{season}/setups/{setup}/crops/{crop}/bar' => ['by' => 1],
    'POST /api/seasons/{season}/devices' => ['name' => 'M', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led'],
    'PUT /api/seasons/{season}/purchases/{token}' => ['kind' => 'gear', 'thing' => 'x', 'name' => 'x', 'packs' => 1, 'paid' => 1, 'on' => '2027-03-01'],
    'PUT /api/seasons/{season}/photos/{token}' => ['on' => '2027-04-21', 'image' => 'x'],
    'PUT /api/seasons/{season}/crops/{crop}/sow' => ['words' => 'nine for six', 'setup' => 'bench'],
    'PUT /api/seasons/{season}/methods/{method}/survival' => ['preset' => 'usual'],
    'POST /api/seasons/{season}/setups' => ['ready_made' => 'buy_it_all'],
    'POST /api/seasons/{season}/lots' => ['like' => 'egg'],
    'POST /api/seasons/{season}/setups/{setup}/next' => ['take' => []],
    'POST /api/seasons/{season}/things' => ['list' => 'lights'],
    'POST /api/seasons/{season}/work' => ['kind' => 'mix', 'setup' => 'bench'],
    'POST /api/seasons/{season}/roll' => ['setup' => 'bench'],
    'PUT /api/seasons/{season}/setups/{setup}/trays' => ['do' => 'keep'],
    'PUT /api/seasons/{season}/weather' => ['place' => null],
    'POST /api/weather/{place}/table' => ['table' => 'MjAyNy0wNC0yMSwzLDE1', 'unit' => 'C', 'month_first' => false],
];

const QUERIES = [
    'GET /api/seasons/{season}/difference' => '?from=bench&to=kit',
    'GET /api/seasons/{season}/years' => '?seasons=3',
    'GET /api/seasons/{season}/setups/{setup}/labels.pdf' => '?sheet=a4_70x36',
    'GET /api/seasons/{season}/setups/{setup}/crops/{crop}/sow-again' => '?on=2027-04-21',
    'GET /api/seasons/{season}/setups/{setup}/weather' => '?on=2027-04-21',
];

/** What is not there is already taken out: said the same of what is another's, whose rows stay. */
const TAKEN_OUT = ['DELETE /api/prices/{price}' => 204];

/** What is a garden's, by table: each row that is its own, or of a season of its own. */
const OWNED = ['seasons' => 'user_id', 'works' => 'user_id', 'prices' => 'user_id', 'shed_items' => 'user_id', 'rolls' => 'user_id',
    'weather_places' => 'user_id',
    'purchases' => 'season_id', 'log_entries' => 'season_id', 'photos' => 'season_id', 'devices' => 'season_id', 'calendar_feeds' => 'season_id',
    'season_changes' => 'season_id'];

/** @return array<string, mixed> the API's description */
function description(): array
{
    return json_decode((string) file_get_contents(base_path('docs/openapi.json')), true);
}

/** @return array<string, array{string, string, bool}> verb, path and whether it takes a body, of every route that takes an id */
function routesWithIds(): array
{
    $routes = [];
    foreach (description()['paths'] as $path => $verbs) {
        foreach (array_intersect_key($verbs, array_flip(['get', 'post', 'put', 'patch', 'delete'])) as $verb => $route) {
            if (str_contains($path, '{')) {
                $routes[strtoupper($verb)." {$path}"] = [strtoupper($verb), $path, isset($route['requestBody'])];
            }
        }
    }

    return $routes;
}

/** What the other's rows hold, to be compared afterwards. */
function rowsOf(FullGarden $garden): string
{
    $seasons = DB::table('seasons')->where('user_id', $garden->user->id)->pluck('id');
    $rows = [];
    foreach (OWNED as $table => $key) {
        $rows[$table] = DB::table($table)->whereIn($key, $key === 'user_id' ? [$garden->user->id] : $seasons)->orderBy('id')->get()
            // Bytes of pictures come as streams.
            ->map(fn (stdClass $row): array => array_filter((array) $row, fn (mixed $value): bool => ! is_resource($value)));
    }

    return (string) json_encode($rows);
}

/** Asks a route as somebody, with these ids, and takes back what it did. */
function asked(FeatureTestCase $test, FullGarden $as, string $route, array $ids): int
{
    [$verb, $path] = routesWithIds()[$route];
    $url = preg_replace_callback('/\{(\w+)\}/', fn (array $match): string => (string) ($ids[$match[1]] ?? "?{$match[1]}"), $path);
    expect($url)->not->toContain('/?', "FullGarden makes no value for a parameter of {$path}");
    DB::beginTransaction();
    try {
        // Only what is deleted can be had back.
        str_ends_with($path, '/restore') && Season::query()->whereKey($ids['season'])->delete();

        return $test->actingAs($as->user)->json($verb, $url.(QUERIES[$route] ?? ''), BODIES[$route] ?? [])->getStatusCode();
    } finally {
        DB::rollBack();
    }
}

it('finds what is one\'s own by every route, and nothing of anybody else', function () {
    $mine = FullGarden::make($this, 'mine');
    $other = FullGarden::make($this, 'other');
    $before = rowsOf($other);
    expect(strlen($before))->toBeGreaterThan(10_000);
    $wrong = [];
    foreach (array_keys(routesWithIds()) as $route) {
        // With the owner's ids the row is there: so a 404 for the other is about whose it is.
        $own = asked($this, $mine, $route, $mine->ids);
        in_array($own, [404, 410, 500], true) && $wrong[] = "{$own} for the owner: {$route}";
        $theirs = asked($this, $mine, $route, $other->ids);
        $theirs === (TAKEN_OUT[$route] ?? 404) || $wrong[] = "{$theirs} for another: {$route}";
        rowsOf($other) === $before || $wrong[] = "changed another's rows: {$route}";
    }
    expect($wrong)->toBe([]);
});

it('finds nothing of another garden under a season of one\'s own', function (string $parameter) {
    $mine = FullGarden::make($this, 'mine');
    $other = FullGarden::make($this, 'other');
    $before = rowsOf($other);
    $tried = 0;
    foreach (array_keys(routesWithIds()) as $route) {
        if (str_contains($route, '{season}') && str_contains($route, "{{$parameter}}")) {
            $status = asked($this, $mine, $route, [...$mine->ids, $parameter => $other->ids[$parameter]]);
            // A token is made by the device: what another garden calls its own may stand for something new here.
            $expected = match (true) {
                $parameter !== 'token' => [404],
                str_starts_with($route, 'PUT') => [204, 422],
                default => [404, 204],
            };
            expect($status)->toBeIn($expected, $route)->and(rowsOf($other))->toBe($before, $route);
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(0);
})->with(['device', 'work', 'token']);
