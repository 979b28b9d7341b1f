<?php

declare(strict_types=1);

use App\Http\CookieNames;
use App\Http\TrustedHosts;
use App\Jobs\DoWork;
use App\Jobs\SendResetLink;
use App\Models\Season;
use App\Models\User;
use App\Models\Work;
use App\Seasons\SeasonShelf;
use App\Work\Turn;
use App\Work\WorkKind;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use JollyPenny\Core\Season\File\InvalidSeason;
use Tests\Seasons;

/** A season that is as large as the checks let pass in one way, one more. */
function tooLarge(string $way): array
{
    $file = Seasons::small();
    $crop = fn (int $n, int $wanted = 1): array => ['id' => "c{$n}", 'wanted' => $wanted] + $file['crops'][0];
    $setup = fn (int $n): array => ['id' => "s{$n}"] + $file['setups'][0];

    return match ($way) {
        'crops' => ['crops' => array_map($crop, range(1, 1001))] + $file,
        'set-ups' => ['setups' => array_map($setup, range(1, 41))] + $file,
        'lines' => ['crops' => array_map($crop, range(1, 201)), 'setups' => array_map($setup, range(1, 40))] + $file,
        'wanted of one' => ['crops' => [$crop(1, 10_001)]] + $file,
        'wanted of all' => ['crops' => array_map(fn (int $n): array => $crop($n, 10_000), range(1, 21))] + $file,
    };
}

it('refuses a season too large to be reckoned, in words', function (string $way, string $path) {
    try {
        Seasons::read(tooLarge($way));
        $this->fail('It was accepted.');
    } catch (InvalidSeason $e) {
        expect(array_column($e->faults, 'path'))->toContain($path)->and($e->faults[0]->remedy)->not->toBe('');
    }
})->with([
    ['crops', '$.crops'],
    ['set-ups', '$.setups'],
    ['lines', '$.setups'],
    ['wanted of one', '$.crops[0].wanted'],
    ['wanted of all', '$.crops'],
]);

it('shows what there is of a season that cannot be reckoned, and takes the last change back', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [['path' => ['name'], 'from' => $season->document->name, 'to' => 'Broken']],
    ])->assertOk();
    // Something no check knows of: written past them all.
    $document = Season::query()->findOrFail($season->id)->document;
    $document->methods[0]->stages[0]->container = 'gone';
    DB::table('seasons')
        ->where('id', $season->id)
        ->update(['document' => json_encode($document)]);
    $answer = $this->getJson("/api/seasons/{$season->id}")->assertOk();
    expect($answer->json('unreckoned'))
        ->toBeTrue()
        ->and($answer->json('season.name'))
        ->toBe('Broken')
        ->and($answer->json('history.undo'))
        ->not->toBeNull();
    $this->get("/api/seasons/{$season->id}/file")->assertOk();
});

it('works out beside what takes long, keeps it for the revision, and lets it be stopped', function () {
    Queue::fake();
    [$user, $season] = gardener();
    $this->actingAs($user);
    $begin = fn (string $setup) => $this->postJson("/api/seasons/{$season->id}/work", ['kind' => 'mix', 'setup' => $setup]);
    $one = $begin('bench')->assertStatus(202)->assertJsonPath('state', 'waiting')->json('id');
    expect($begin('bench')->json('id'))->toBe($one);
    $two = $begin('saved')->assertStatus(202)->json('id');
    expect($begin('kit')->assertStatus(409)->json('detail'))->toContain('Two things');
    Queue::assertPushedOn('work', DoWork::class);
    $this->deleteJson("/api/seasons/{$season->id}/work/{$two}")->assertNoContent();
    // Two places in the line, and one job left for them.
    (new DoWork(false))->handle();
    (new DoWork(false))->handle();
    expect(Work::query()->findOrFail($two)->state)->toBe('stopped')
        ->and($this->getJson("/api/seasons/{$season->id}/work/{$one}")->json('state'))
        ->toBe('done')
        ->and($begin('bench')->json('id'))
        ->toBe($one);
    $this->postJson("/api/seasons/{$season->id}/setups", ['work' => $one])
        ->assertOk()
        ->assertJsonPath('added', 'mix');
    // The season has changed: what was worked out holds no longer.
    expect($begin('bench')->json('id'))->not->toBe($one);
    $begin('none')->assertNotFound();
    $this->postJson("/api/seasons/{$season->id}/work", ['kind' => 'magic', 'setup' => 'bench'])->assertStatus(422);
});

it('stops in the middle when somebody says so', function () {
    Queue::fake();
    [$user, $season] = gardener();
    $id = $this->actingAs($user)
        ->postJson("/api/seasons/{$season->id}/work", ['kind' => 'mix', 'setup' => 'bench'])
        ->json('id');
    Work::query()
        ->whereKey($id)
        ->update(['state' => 'waiting']);
    DB::listen(function ($query) use ($id): void {
        if (
            str_contains($query->sql, 'update "works" set "done"') === false &&
            str_contains($query->sql, '"state" = ?') &&
            $query->bindings[0] === 'working'
        ) {
            DB::table('works')
                ->where('id', $id)
                ->update(['state' => 'stopped']);
        }
    });
    (new DoWork(false))->handle();
    expect(Work::query()->findOrFail($id))
        ->state->toBe('stopped')
        ->result->toBeNull();
});

it('brings along a season made in a trial garden whose demo was deleted, and what lies in its bin', function () {
    account();
    $this->get('/');
    $demo = $this->getJson('/api/seasons')->json('seasons.0.id');
    $this->deleteJson("/api/seasons/{$demo}")->assertNoContent();
    $mine = $this->postJson('/api/seasons', ['from' => 'file', 'text' => Seasons::json(Seasons::small())])->json('id');
    $binned = $this->postJson('/api/seasons', ['from' => 'file', 'text' => Seasons::json(Seasons::small())])->json('id');
    $this->deleteJson("/api/seasons/{$binned}")->assertNoContent();
    $this->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => SECRET])->assertOk();
    expect(array_column($this->getJson('/api/seasons')->json('seasons'), 'id'))->toContain($mine)->not->toContain($demo);
    $this->postJson("/api/seasons/{$binned}/restore")->assertNoContent();
    $this->getJson("/api/seasons/{$binned}")->assertOk();
});

it('ends the session that was there before a garden is kept, and before one signs in', function () {
    $this->get('/');
    $stolen = session()->getId();
    expect(DB::table('sessions')->where('id', $stolen)->exists())->toBeTrue();
    $this->withCredentials()
        ->withCookie(config('session.cookie'), $stolen)
        ->postJson('/api/account', ['email' => 'moss@example.org', 'password' => SECRET])
        ->assertOk();
    $second = session()->getId();
    expect(DB::table('sessions')->where('id', $stolen)->exists())
        ->toBeFalse()
        ->and($second)
        ->not->toBe($stolen);
    $this->withCredentials()
        ->withCookie(config('session.cookie'), $second)
        ->patchJson('/api/account', ['password' => 'another long secret', 'current_password' => SECRET])
        ->assertOk();
    expect(DB::table('sessions')->where('id', $second)->exists())->toBeFalse();
});

it('gives no cookie to a form of another site', function () {
    $this->get('/');
    $this->app['env'] = 'production';
    $refused = $this->post('/api/session', ['email' => 'mossy@example.org', 'password' => 'x'])->assertStatus(419);
    expect($refused->headers->getCookies())->toBe([]);
});

it('limits guesses of the present password, and says for how long', function () {
    $this->actingAs(account());
    for ($i = 0; $i < 5; $i++) {
        $this->patchJson('/api/account', ['email' => 'fern@example.org', 'current_password' => 'wrong'])->assertStatus(422);
    }
    $refused = $this->patchJson('/api/account', ['email' => 'fern@example.org', 'current_password' => SECRET])->assertStatus(429);
    expect((int) $refused->headers->get('Retry-After'))->toBeGreaterThan(0);
    $this->deleteJson('/api/account', ['current_password' => SECRET])->assertStatus(429);
});

it('lets a letter die with the password it was to change', function () {
    $user = account();
    $token = Password::createToken($user);
    $this->actingAs($user)
        ->patchJson('/api/account', ['password' => 'another long secret', 'current_password' => SECRET])
        ->assertOk();
    $this->postJson('/api/password/reset', ['email' => $user->email, 'token' => $token, 'password' => 'a third long secret'])->assertStatus(
        422,
    );
});

it('does the same for an e-mail it knows and for one it does not', function () {
    Queue::fake();
    account();
    $known = $this->postJson('/api/password/forgot', ['email' => 'mossy@example.org'])->assertNoContent();
    $unknown = $this->postJson('/api/password/forgot', ['email' => 'nobody@example.org'])->assertNoContent();
    expect($known->getContent())->toBe($unknown->getContent());
    Queue::assertPushed(SendResetLink::class, 2);
});

it('keeps five gardens an hour from one address', function () {
    account('mossy@example.org');
    $this->get('/');
    // Slips of the pen do not count.
    foreach ([['nobody', SECRET], ['moss@example.org', 'short'], ['moss@example.org', ''], ['', SECRET], ['moss@', SECRET], ['mossy@example.org', 'short']] as [$email, $password]) {
        $this->postJson('/api/account', ['email' => $email, 'password' => $password])->assertStatus(422);
    }
    for ($i = 0; $i < 5; $i++) {
        expect($this->postJson('/api/account', ['email' => 'mossy@example.org', 'password' => SECRET])->assertStatus(422)->json('detail'))->toContain('There is an account');
    }
    $this->postJson('/api/account', ['email' => 'moss@example.org', 'password' => SECRET])->assertStatus(429);
});

it('refuses what is no text, and lists where one word is asked', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    foreach (['?setup[]=bench', '?setup=%FF', '?setup=a%00b'] as $query) {
        $this->getJson("/api/seasons/{$season->id}{$query}")->assertStatus(400);
    }
    $this->postJson('/api/session', ['email' => "a\0b@example.org", 'password' => 'x'])->assertStatus(400);
    $this->getJson('/api/seasons/99999999999999999999999')->assertNotFound();
    $this->postJson('/api/account', ['email' => str_repeat('a', 240).'@example.org', 'password' => SECRET])->assertStatus(422);
});

it('tells who looks after the machine, and nobody else, how it does', function () {
    $this->getJson('/up')->assertOk()->assertJsonPath('parts.database', true);
    $this->assertGuest();
    $this->get('/metrics')->assertNotFound();
    config(['jolly.metrics_token' => 'a token of the operator']);
    $this->withToken('another')->get('/metrics')->assertNotFound();
    config(['queue.default' => 'database']);
    [$user, $season] = gardener();
    Work::query()->create(['user_id' => $user->id, 'season_id' => $season->id, 'revision' => 1, 'kind' => 'mix', 'setup' => 'bench']);
    $page = (string) $this->withToken('a token of the operator')->get('/metrics')->assertOk()->getContent();
    // Prometheus text format 0.0.4: comment lines, then name and value.
    foreach (array_filter(explode("\n", $page)) as $line) {
        expect(preg_match('/^(# (HELP|TYPE) jolly_\w+ .+|jolly_\w+ \d+(\.\d+)?)$/', $line))->toBe(1, $line);
    }
    expect($page)->toContain("\njolly_jobs_waiting 1\n");
});

it('starts no garden for a browser\'s own questions', function () {
    $this->get('/favicon.ico');
    $this->assertGuest();
});

it('shows letters on a machine of one\'s own only', function () {
    config(['jolly.mailbox' => true, 'app.url' => 'https://garden.example.org']);
    $this->get('/mailbox')->assertNotFound();
    config(['app.url' => 'http://127.0.0.1:8017']);
    $this->get('/mailbox')->assertOk();
    $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.7'])
        ->get('/mailbox')
        ->assertNotFound();
});

it('answers to the names of the local network where it is opened to that, and to no other', function () {
    config(['app.url' => 'http://127.0.0.1:8017', 'jolly.lan_hosts' => ['192.0.2.2', 'shed.local']]);
    $trusted = fn (string $host): bool => array_filter(TrustedHosts::patterns(), fn (string $one) => preg_match("/{$one}/", $host) === 1) !== [];
    expect(array_map($trusted, ['127.0.0.1', 'localhost', '192.0.2.2', 'shed.local', 'shed.local.example.org', '192x0.2.2', 'example.org']))
        ->toBe([true, true, true, true, false, false, false]);
});

it('keeps a page for when there is no connection, with nobody\'s garden in it', function () {
    $mark = fn (string $page): string => preg_match('/name="garden" content="(\w*)"/', $page, $found) === 1 ? $found[1] : '?';
    $shell = $this->get('/shell')->assertOk();
    expect($mark((string) $shell->getContent()))->toBe('')->and($shell->headers->getCookies())->toBe([]);
    $this->assertGuest();
    [$one, $other] = [gardener()[0], gardener()[0]];
    $own = $mark((string) $this->actingAs($one)->get('/')->getContent());
    expect(strlen($own))->toBe(64)
        ->and($mark((string) $this->actingAs($one)->get('/seasons')->getContent()))->toBe($own)
        ->and($mark((string) $this->actingAs($other)->get('/')->getContent()))->not->toBe($own);
});

it('tells browsers behind TLS to stay there', function () {
    expect($this->get('https://localhost/up')->headers->get('Strict-Transport-Security'))
        ->toContain('max-age=')
        ->and($this->get('http://localhost/up')->headers->get('Strict-Transport-Security'))
        ->toBeNull();
});

it('keeps history by size too, the newest step always', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $meta = $season->document->meta ?? null;
    foreach (range(1, 4) as $round) {
        $next = ['note' => str_repeat((string) $round, 700_000)];
        $this->patchJson("/api/seasons/{$season->id}", [
            'changes' => [['path' => ['meta'], 'from' => $meta, 'to' => $next]],
            'label' => "note {$round}",
        ])->assertOk();
        $meta = $next;
    }
    expect($season->changes()->count())
        ->toBeLessThan(4)
        ->toBeGreaterThan(0)
        ->and(
            $this->postJson("/api/seasons/{$season->id}/undo")
                ->assertOk()
                ->json('history.redo'),
        )
        ->toBe('note 4');
});

it('says that a garden is full', function () {
    [$user, $season] = gardener();
    $document = $season->document;
    $document->meta = (object) ['note' => str_repeat('x', 4_800_000)];
    foreach (range(1, 11) as $n) {
        SeasonShelf::keep($user, clone $document);
    }
    expect(
        $this->actingAs($user)
            ->postJson('/api/seasons', ['from' => 'demo'])
            ->assertStatus(422)
            ->json('detail'),
    )->toContain('MB');
});

it('takes a whole number however it is written, and refuses what is none', function (mixed $wanted, int $status) {
    [$user, $season] = gardener();
    $this->actingAs($user)->postJson("/api/seasons/{$season->id}/crops", ['species' => 'kale', 'wanted' => $wanted])->assertStatus($status);
    $this->postJson("/api/seasons/{$season->id}/crops", ['lot' => 'tom-copper', 'wanted' => $wanted])->assertStatus($status);
})->with([[5.0, 200], [true, 200], ['7', 200], [0, 422], [1e30, 422], [10_001, 422], [[5], 422], ['many', 422]]);

it('gives each garden its turn: nobody waits behind all that another has asked for', function () {
    Queue::fake();
    $ask = function (string $kind, array $garden): int {
        return Work::query()->create(['user_id' => $garden[0]->id, 'season_id' => $garden[1]->id, 'revision' => 1, 'kind' => $kind, 'setup' => 'bench',
            'expected' => WorkKind::from($kind)->expectedSeconds(12)])->id;
    };
    [$greedy, $other, $late] = [gardener(), gardener(), gardener()];
    $jobs = ['greedy, long' => $ask('budget', $greedy), 'greedy, short' => $ask('advice', $greedy)];
    $this->travel(1)->seconds();
    $jobs += ['other, long' => $ask('mix', $other), 'other, short' => $ask('simulation', $other)];
    $this->travel(1)->seconds();
    $jobs += ['late' => $ask('mix', $late)];
    $taken = [];
    // Nothing ends in between: the third goes to the garden that has nothing running.
    for ($n = 0; $n < 5; $n++) {
        $taken[] = array_search(Turn::take(false)?->id, $jobs, true);
        $this->travel(1)->seconds();
    }
    expect($taken)->toBe(['greedy, short', 'other, short', 'late', 'greedy, long', 'other, long'])
        ->and(Turn::take(false))->toBeNull();
    // The quick worker keeps itself free for what is short.
    $long = $ask('budget_years', $late);
    expect(Turn::take(true))->toBeNull();
    $short = $ask('simulation', $late);
    expect(Turn::take(true)?->id)->toBe($short)->and(Turn::take(false)?->id)->toBe($long);
});

it('keeps no session for whoever asks without one and gets no garden', function () {
    config(['session.driver' => 'database']);
    $rows = fn (): int => DB::table('sessions')->count();
    $before = $rows();
    foreach (['/api/seasons', '/api/catalogue', '/api/nothing', '/calendar/'.str_repeat('a', 48).'.ics'] as $path) {
        expect(array_map(fn ($cookie): string => "{$path} {$cookie->getName()}", $this->getJson($path)->headers->getCookies()))->toBe([]);
    }
    expect($rows())->toBe($before);
    // A page on which one signs in has a token, and so a session; an address gets sixty of them a minute.
    $given = 0;
    for ($n = 0; $n < 70; $n++) {
        $given += $this->get('/sign-in')->headers->getCookies() === [] ? 0 : 1;
    }
    expect($given)->toBe(60);
});

it('names its cookies after the installation, and finds a garden again without a session', function () {
    $cookies = collect($this->get('/')->assertOk()->headers->getCookies())->keyBy(fn ($cookie): string => $cookie->getName());
    $key = (string) config('app.key');
    expect($cookies->keys()->all())->toEqualCanonicalizing([CookieNames::session($key), CookieNames::garden($key), CookieNames::token($key)])
        ->and(CookieNames::session($key))->not->toBe(CookieNames::session('another key'))
        ->and($cookies[CookieNames::garden($key)]->isHttpOnly())->toBeTrue()
        ->and($cookies[CookieNames::garden($key)]->getExpiresTime())->toBeGreaterThan(time() + 300 * 86400);
    $season = $this->getJson('/api/seasons')->json('seasons.0.id');
    $gardens = User::query()->count();
    // The session is lost, to another copy or to time; the garden's own cookie is there.
    session()->flush();
    Auth::forgetGuards();
    $kept = $cookies[CookieNames::garden($key)];
    $this->withCredentials()->withUnencryptedCookie($kept->getName(), (string) $kept->getValue());
    expect($this->getJson('/api/seasons')->assertOk()->json('seasons.0.id'))->toBe($season)
        ->and(User::query()->count())->toBe($gardens);
});

it('reads the session\'s cookie by the name it had before', function () {
    config(['session.driver' => 'database']);
    account();
    session()->setId($session = Str::random(40));
    $this->withCredentials()->withCookie(CookieNames::session((string) config('app.key')), $session)
        ->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => SECRET])->assertOk();
    [$session] = [session()->getId()];
    Auth::forgetGuards();
    $this->defaultCookies = [];
    session()->flush();
    session()->setId(Str::random(40));
    $this->getJson('/api/seasons')->assertUnauthorized();
    Auth::forgetGuards();
    $this->withCookie(CookieNames::SESSION_BEFORE, $session)->getJson('/api/seasons')->assertOk();
});

it('finds the garden to try of a session that an older version wrote', function () {
    config(['session.driver' => 'database']);
    [$user] = gardener();
    // As the framework's own guard wrote it, under the cookie's name of then; there was no long-lived cookie beside it.
    session()->setId($session = Str::random(40));
    session()->put('login_web_'.sha1(Illuminate\Auth\SessionGuard::class), $user->id);
    session()->put('_token', Str::random(40));
    session()->save();
    session()->flush();
    session()->setId(Str::random(40));
    Auth::forgetGuards();
    $answer = $this->withCredentials()->withCookie(CookieNames::SESSION_BEFORE, $session)->getJson('/api/seasons')->assertOk();
    expect($answer->json('seasons'))->toHaveCount(1);
});

it('says the address by which the page was opened where the installation has none of its own', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    config(['app.url' => 'http://127.0.0.1:8017', 'jolly.lan_hosts' => ['192.168.1.20']]);
    $feed = fn (): string => $this->putJson("https://192.168.1.20:8443/api/seasons/{$season->id}/setups/bench/feed")->assertOk()->json('address');
    expect($feed())->toStartWith('https://192.168.1.20:8443/calendar/');
    config(['app.url' => 'https://garden.example.org', 'jolly.lan_hosts' => ['192.168.1.20']]);
    expect($feed())->toStartWith('https://garden.example.org/calendar/');
});

it('refuses passwords that are known from breaches', function () {
    $this->get('/');
    foreach (['password1', 'Iloveyou', '12345678'] as $known) {
        expect($this->postJson('/api/account', ['email' => 'moss@example.org', 'password' => $known])->assertStatus(422)->json('detail'))->toContain('stolen');
    }
    $this->postJson('/api/account', ['email' => 'moss@example.org', 'password' => SECRET])->assertOk();
});

it('lets no proxy keep an answer with an account\'s e-mail', function () {
    $this->actingAs(account());
    foreach (['/api/account', '/api/account/export'] as $path) {
        expect((string) $this->get($path)->headers->get('Cache-Control'))->toContain('no-store');
    }
});

it('refuses what is no token without asking the database, and ends a device\'s token with its garden', function () {
    [$user, $season] = gardener();
    $made = $this->actingAs($user)->postJson("/api/seasons/{$season->id}/devices", ['name' => 'M', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led']);
    foreach (['abc|def', '1|x', '99999999999999999999|'.str_repeat('a', 48), '', 'é|é'] as $token) {
        $this->withToken($token)->postJson('/api/device/readings', ['readings' => [['at' => '2027-04-08T06:00:00Z', 'value' => 1]]])->assertStatus(401);
    }
    $tokens = fn (): int => DB::table('personal_access_tokens')->where('tokenable_id', $made->json('id'))->count();
    expect($tokens())->toBe(1);
    // By the database alone, as a cleared garden goes.
    DB::table('users')->where('id', $user->id)->delete();
    expect($tokens())->toBe(0);
});

it('counts what lies in the bin among what a garden holds', function () {
    [$user, $season] = gardener();
    $document = DB::table('seasons')->where('id', $season->id)->value('document');
    DB::insert('INSERT INTO seasons (user_id, document, revision, demo, created_at, updated_at, deleted_at)
        SELECT ?, ?::jsonb, 1, false, now(), now(), now() FROM generate_series(1, 600)', [$user->id, $document]);
    expect($this->actingAs($user)->postJson("/api/seasons/{$season->id}/copy")->assertStatus(422)->json('detail'))->toContain('deleted ones');
});

it('lets nobody wait until a clock that was set back is there again', function (string $back) {
    account('fern@example.org');
    $try = fn () => $this->postJson('/api/session', ['email' => 'fern@example.org', 'password' => 'not the secret']);
    foreach (range(1, 5) as $_) {
        $try()->assertStatus(422);
    }
    $try()->assertStatus(429);
    $job = ['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => now()->timestamp, 'created_at' => now()->timestamp];
    $id = DB::table('jobs')->insertGetId($job);
    // A second to and fro is no jump.
    $this->travelTo(now()->subSecond());
    $try()->assertStatus(429);
    $this->travelTo(now()->sub($back));
    $try()->assertStatus(422);
    expect(DB::table('jobs')->find($id)->available_at)->toBe(now()->timestamp);
})->with(['1 hour', '1 day']);

it('keeps a garden whose clock jumps ahead', function (string $ahead) {
    $this->get('/')->assertOk();
    $season = $this->getJson('/api/seasons')->json('seasons.0.id');
    $this->travelTo(now()->add($ahead));
    $this->getJson('/api/seasons')->assertOk()->assertJsonPath('seasons.0.id', $season);
})->with(['1 hour', '1 day']);

it('writes a session again only where something in it changed, or now and then', function () {
    config(['session.driver' => 'database']);
    account();
    session()->setId($session = Str::random(40));
    $name = CookieNames::session((string) config('app.key'));
    $this->withCredentials()->withCookie($name, $session)
        ->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => SECRET])->assertOk();
    $session = session()->getId();
    $ask = fn () => $this->withCookie($name, $session)->getJson('/api/seasons')->assertOk();
    $written = fn (): int => (int) DB::table('sessions')->where('id', $session)->value('last_activity');
    $ask();
    $first = $written();
    $this->travelTo(now()->addMinute());
    $ask();
    expect($written())->toBe($first);
    $this->travelTo(now()->addMinutes(6));
    $ask();
    expect($written())->toBe(now()->timestamp);
});

it('keeps the last 300 steps, give or take a few', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $row = ['season_id' => $season->id, 'label' => 'old', 'changes' => '[]', 'undone' => false, 'created_at' => now()];
    DB::table('season_changes')->insert(array_fill(0, 330, $row));
    foreach (range(1, 8) as $n) {
        $this->patchJson("/api/seasons/{$season->id}", hoursOfLed($n % 2 === 1 ? 16 : 14, $n % 2 === 1 ? 14 : 16))->assertOk();
    }
    expect($season->changes()->count())->toBeLessThanOrEqual(308)->toBeGreaterThanOrEqual(300);
});

it('takes a list, an object or a number where a text belongs for no text', function (string $verb, string $path, array $body) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    expect($this->json($verb, str_replace('{season}', (string) $season->id, $path), $body)->status())->toBeLessThan(500);
})->with([
    ['POST', '/api/seasons/{season}/log/table', ['file' => [[['a']]]]],
    ['POST', '/api/seasons/{season}/log/table', ['file' => ['a' => ['a' => 1]]]],
    ['POST', '/api/seasons', ['from' => [[]], 'list' => 'null']],
    ['POST', '/api/seasons', ['from' => 'answers', 'last_frost' => 1.0e300, 'first_frost' => '2027-10-01', 'rate' => 2]],
    ['POST', '/api/seasons', ['from' => 'answers', 'last_frost' => '5.0', 'first_frost' => PHP_INT_MAX, 'rate' => 2]],
    ['POST', '/api/seasons', ['from' => 'answers', 'last_frost' => ['2027-05-01'], 'first_frost' => '2027-10-01', 'rate' => 2]],
    ['POST', '/api/seasons', ['from' => 'file', 'text' => ['a'], 'name' => [1], 'first_frost' => -1.0e300]],
    ['PATCH', '/api/seasons/{season}', ['changes' => [['path' => ['name'], 'from' => 'x', 'to' => 'y']], 'setup' => ['bench'], 'label' => ['a']]],
    ['POST', '/api/prices', ['name' => 'Perlite', 'price' => 1, 'currency' => 'USD', 'on' => ['2027-01-01']]],
    ['POST', '/api/list', ['text' => ['8 tomato'], 'metric' => 'maybe']],
    ['GET', '/api/prices?find[]=1', []],
    ['GET', '/api/seasons/{season}/setups/bench/labels.pdf?sheet[]=1&trays[]=1&code[]=1', []],
    ['GET', '/api/seasons/{season}/difference?from[]=1&to[]=2', []],
    ['GET', '/api/seasons/{season}/setups/bench/methods/cells/growth?crop[]=1', []],
    ['POST', '/api/account', ['email' => ['a'], 'password' => ['b']]],
    ['POST', '/api/session', ['email' => ['a' => 1], 'password' => 12345678]],
    ['PUT', '/api/seasons/{season}/currency', ['to' => ['USD'], 'rate' => [1]]],
]);
