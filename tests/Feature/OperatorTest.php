<?php

declare(strict_types=1);

use App\Health\Health;
use App\Health\Standby;
use App\Health\Timing;
use App\Models\Season;
use App\Models\User;
use App\Models\Work;
use Illuminate\Database\Eloquent\MissingAttributeException;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;

// What whoever looks after the machine starts and reads.

beforeEach(function () {
    User::query()->delete();
});

it('loads the demo for a garden to try where there is no season, and only then', function () {
    expect(Artisan::call('jolly:demo'))->toBe(0)->and(Artisan::output())->toContain('is loaded');
    $seasons = Season::query()->count();
    expect($seasons)->toBeGreaterThan(0)
        ->and(User::query()->sole()->trial)->toBeTrue();
    expect(Artisan::call('jolly:demo'))->toBe(0)->and(Artisan::output())->toContain('seasons already');
    expect(Season::query()->count())->toBe($seasons);
});

it('clears what nobody came back to', function () {
    $old = User::query()->create(['trial' => true]);
    User::query()->whereKey($old->id)->update(['last_seen_at' => now()->subDays(31)]);
    expect(Artisan::call('jolly:clear'))->toBe(0)->and(Artisan::output())->toContain('Cleared 1 ');
    expect(User::query()->count())->toBe(0);
});

it('switches to no code that has no front end or cannot reckon a season that is there', function () {
    [, $season] = gardener();
    expect(Artisan::call('jolly:check'))->toBe(0);
    $built = public_path();
    app()->usePublicPath(sys_get_temp_dir());
    expect(Artisan::call('jolly:check'))->toBe(1);
    app()->usePublicPath($built);
    // What no reader lets in: a crop of seed that nobody has.
    DB::update("UPDATE seasons SET document = jsonb_set(document, '{crops,0,lot}', '\"nothing\"') WHERE id = ?", [$season->id]);
    expect(fn () => Artisan::call('jolly:check'))->toThrow(ErrorException::class);
});

it('counts gardens, accounts and long reckonings for the operator', function () {
    [$user, $season] = gardener();
    account('oak@example.org');
    account('elm@example.org');
    foreach (['waiting', 'working', 'working', 'done'] as $n => $state) {
        Work::query()->create(['user_id' => $user->id, 'season_id' => $season->id, 'revision' => $n, 'kind' => 'mix', 'setup' => 'bench', 'state' => $state]);
    }
    expect(Health::metrics())->toContain("\njolly_trial_gardens 1\n")->toContain("\njolly_accounts 2\n")->toContain("\njolly_work_running 2\n");
});

it('is not up where the database takes nothing', function () {
    expect(Health::parts()['database'])->toBeTrue();
    // After a failure PostgreSQL takes nothing more in the same transaction.
    DB::beginTransaction();
    expect(fn () => DB::select('SELECT nothing'))->toThrow(QueryException::class)
        ->and(Health::parts()['database'])->toBeFalse();
    $this->getJson('/up')->assertStatus(503)->assertHeader('Retry-After')->assertJsonPath('up', false);
    DB::rollBack();
    expect(Health::parts()['database'])->toBeTrue();
});

it('reads no standby where none is set up', function () {
    config(['database.connections.'.Standby::NAME.'.host' => null]);
    expect(Standby::isFresh(1000.0))->toBeFalse();
});

it('times each request by itself', function () {
    Timing::begin();
    Timing::part('before');
    Timing::begin();
    Timing::part('now');
    // Server-Timing (W3C): a name, and dur in milliseconds.
    expect(Timing::header())->toMatch('/^boot;dur=[\d.]+, now;dur=[\d.]+, total;dur=[\d.]+$/');
});

it('sends six letters a minute to one address of the network, and as many to the next', function () {
    $ask = fn (string $from): int => $this->withServerVariables(['REMOTE_ADDR' => $from])
        ->postJson('/api/password/forgot', ['email' => 'nobody@example.org'])->getStatusCode();
    expect(array_map(fn () => $ask('192.0.2.7'), range(1, 7)))->toBe([204, 204, 204, 204, 204, 204, 429])
        ->and($ask('192.0.2.8'))->toBe(204);
});

it('counts what each device sends by itself, and what all of one address send', function () {
    $limits = function (string $token): array {
        $request = Request::create('/', server: ['HTTP_AUTHORIZATION' => "Bearer {$token}", 'REMOTE_ADDR' => '192.0.2.7']);

        return array_column(RateLimiter::limiter('devices')($request), 'maxAttempts', 'key');
    };
    [$one, $other] = [$limits('first'), $limits('second')];
    expect(array_values($one))->toBe([1200, 6000])
        ->and(count(array_diff_key($one, $other)))->toBe(1)
        ->and(array_keys($one)[1])->toBe(array_keys($other)[1]);
});

it('stops where a value is asked for that was not read', function () {
    [, $season] = gardener();
    $line = Season::query()->whereKey($season->id)->first(['id']);
    expect(fn () => $line?->user_id)->toThrow(MissingAttributeException::class);
});
