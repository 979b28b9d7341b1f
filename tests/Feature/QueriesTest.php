<?php

declare(strict_types=1);

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Tests\GardenQueries;

it('takes few queries to edit', function () {
    foreach ($this->get('/')->assertOk()->headers->getCookies() as $cookie) {
        $this->withUnencryptedCookie($cookie->getName(), (string) $cookie->getValue());
    }
    $this->withCredentials();
    $this->app->make('auth')->forgetGuards();
    $id = $this->getJson('/api/seasons')->json('seasons.0.id');
    $rate = $this->getJson("/api/seasons/{$id}?setup=bench")->json('season.electricity.rate');
    $this->app->make('auth')->forgetGuards();
    $queries = [];
    DB::listen(function (QueryExecuted $query) use (&$queries): void {
        $queries[] = $query->sql;
    });
    $change = ['path' => ['electricity', 'rate'], 'from' => $rate, 'to' => 0.2];
    $this->patchJson("/api/seasons/{$id}", ['setup' => 'bench', 'label' => 'rate', 'changes' => [$change]])->assertOk();
    // With the transaction's two.
    expect(count($queries) + 2)->toBeLessThanOrEqual(10);
});

it('knows a query that does not say whose rows it asks for', function (string $sql, array $unowned) {
    expect(GardenQueries::unowned($sql))->toBe($unowned);
})->with([
    ['select * from "seasons" where "user_id" = ? and "seasons"."id" = ?', []],
    ['select * from "seasons" where "year" = ?', ['seasons']],
    ['select * from "log_entries"', ['log_entries']],
    ['update "works" set "state" = ? where "state" = ?', ['works']],
    ['delete from "purchases" where "purchases"."season_id" = ? and "token" = ?', []],
    ['select count(*) from seasons join users on users.id = seasons.user_id where trial', []],
    ['select * from "cache" where "key" in (?)', []],
    ['insert into "prices" ("user_id") values (?)', []],
]);

it('reads lists and exports from the standby, and from the primary what the standby has not heard of yet', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    // The same database over a connection of its own sees nothing of this test's transaction: what is found was asked of the primary.
    config(['database.connections.standby' => [...config('database.connections.pgsql'), 'options' => []]]);
    expect($this->getJson('/api/seasons')->assertOk()->json('seasons'))->toBe([])
        ->and($this->get("/api/seasons/{$season->id}/file")->assertOk()->json('name'))->toBe('Plot 17, spring 2027')
        ->and(DB::getDefaultConnection())->toBe('pgsql');
    $this->getJson('/api/seasons/999999999/file')->assertNotFound();
    // An edit goes to the primary, whatever is read elsewhere.
    $this->patchJson("/api/seasons/{$season->id}", hoursOfLed(16, 12))->assertOk();
    // Too old, away, or none: the primary.
    config(['jolly.standby_age' => -1]);
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1);
    config(['jolly.standby_age' => 10, 'database.connections.standby.port' => 1]);
    DB::purge('standby');
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1);
    config(['database.connections.standby.host' => null]);
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1);
});
