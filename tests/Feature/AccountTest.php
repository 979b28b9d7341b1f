<?php

declare(strict_types=1);

use App\Accounts\Garden;
use App\Mail\Mailbox;
use App\Models\Price;
use App\Models\Season;
use App\Models\User;
use App\Seasons\DemoSeason;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

it('keeps a trial garden with an e-mail and a password, and everything in it', function () {
    $this->get('/');
    $season = $this->getJson('/api/seasons')->json('seasons.0');
    expect($this->getJson('/api/account')->json())->toMatchArray(['trial' => true, 'email' => null]);
    $this->postJson('/api/account', ['email' => ' Mossy@Example.org ', 'password' => SECRET])
        ->assertOk()
        ->assertJsonPath('email', 'mossy@example.org');
    expect($this->getJson('/api/seasons')->json('seasons.0.id'))
        ->toBe($season['id'])
        ->and((string) User::query()->where('email', 'mossy@example.org')->value('password'))
        ->toStartWith('$argon2id$');
    $this->postJson('/api/account', ['email' => 'other@example.org', 'password' => SECRET])->assertStatus(409);
});

it('refuses what is no e-mail, a short password, and an e-mail that is taken', function (array $input, string $says) {
    account();
    $this->get('/');
    expect($this->postJson('/api/account', $input)->assertStatus(422)->json('detail'))->toContain($says);
})->with([
    [['email' => 'nobody', 'password' => SECRET], 'e-mail address'],
    [['email' => 'new@example.org', 'password' => 'short'], 'at least 8'],
    [['email' => 'MOSSY@example.org', 'password' => SECRET], 'Sign in instead'],
]);

it('signs in and brings along what was typed in the trial garden', function () {
    $user = account();
    $this->get('/');
    $trial = auth()->id();
    $touched = $this->getJson('/api/seasons')->json('seasons.0.id');
    $this->patchJson("/api/seasons/{$touched}", [
        'changes' => [['path' => ['name'], 'from' => 'Plot 17, spring 2027', 'to' => 'Mine']],
    ])->assertOk();
    $this->postJson('/api/session', ['email' => 'Mossy@example.org', 'password' => SECRET])->assertOk();
    expect(auth()->id())
        ->toBe($user->id)
        ->and(array_column($this->getJson('/api/seasons')->json('seasons'), 'name'))
        ->toContain('Mine')
        ->toHaveCount(2)
        ->and(User::query()->find($trial))
        ->toBeNull();
});

it('brings along prices that the account does not know, and doubles none', function () {
    $account = account();
    [$trial] = gardener();
    $keep = fn ($user, string $lines) => $this->actingAs($user)->postJson('/api/prices/table', ['file' => base64_encode("thing,price,date\n{$lines}"),
        'currency' => 'USD', 'dates' => 'dmy', 'keep' => true])->assertOk();
    $keep($account, "Perlite,18.40,2027-02-03\n");
    $keep($trial, "Perlite,18.40,2027-02-03\nTwine,2.10,2027-02-04\n");
    app(Garden::class)->bringAlong($trial, $account);
    expect(Price::query()->where('user_id', $account->id)->orderBy('name')->pluck('name')->all())->toBe(['Perlite', 'Twine']);
});

it('leaves the untouched demo behind', function () {
    account();
    $this->get('/');
    $this->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => SECRET])->assertOk();
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1);
});

it('says no more than that it is not right, and stops after five tries', function () {
    account();
    foreach (['mossy@example.org', 'nobody@example.org'] as $email) {
        expect(
            $this->postJson('/api/session', ['email' => $email, 'password' => 'wrong'])
                ->assertStatus(422)
                ->json('detail'),
        )->toBe('E-mail or password is not right.');
    }
    for ($i = 0; $i < 4; $i++) {
        $this->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => 'wrong']);
    }
    $this->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => SECRET])->assertStatus(429);
});

it('forgets failed tries once somebody is in', function () {
    account();
    $try = fn (string $password) => $this->postJson('/api/session', ['email' => 'mossy@example.org', 'password' => $password]);
    for ($round = 0; $round < 2; $round++) {
        for ($i = 0; $i < 4; $i++) {
            $try('wrong')->assertStatus(422);
        }
        $try(SECRET)->assertOk();
    }
});

it('ends every other session with a new password, wherever sessions lie', function (string $way, string $driver) {
    config(['session.driver' => $driver]);
    $user = account();
    account('fern@example.org');
    // Each browser with a session of its own, and what a page of it is answered.
    $signIn = function (string $email): string {
        Auth::forgetGuards();
        session()->flush();
        session()->setId(Str::random(40));
        $this->withCredentials()->withCookie(config('session.cookie'), session()->getId())
            ->postJson('/api/session', ['email' => $email, 'password' => SECRET])->assertOk();

        return session()->getId();
    };
    $asks = function (string $session): int {
        Auth::forgetGuards();

        return $this->withCredentials()->withCookie(config('session.cookie'), $session)->getJson('/api/seasons')->getStatusCode();
    };
    $mossy = fn (): string => $signIn('mossy@example.org');
    [$elsewhere, $idle, $other, $here] = [$mossy(), $mossy(), $signIn('fern@example.org'), $mossy()];
    expect([$asks($elsewhere), $asks($other), $asks($here)])->toBe([200, 200, 200]);
    if ($way === 'changed') {
        Auth::forgetGuards();
        $this->withCredentials()->withCookie(config('session.cookie'), $here)
            ->patchJson('/api/account', ['password' => 'another long secret', 'current_password' => SECRET])->assertOk();
        $here = session()->getId();
    } else {
        $this->withCookies([])->postJson('/api/password/reset', ['email' => $user->email, 'token' => Password::createToken($user),
            'password' => 'another long secret'])->assertNoContent();
    }
    expect([$asks($elsewhere), $asks($idle), $asks($other)])->toBe([401, 401, 200])->and($asks($here))->toBe($way === 'changed' ? 200 : 401);
})->with(['changed', 'reset'])->with(['database', 'file']);

it('signs out', function () {
    $this->actingAs(account());
    $this->deleteJson('/api/session')->assertNoContent();
    $this->assertGuest();
    $this->getJson('/api/seasons')->assertStatus(401);
});

it('sends a link for a new password to the mailbox of this machine, good once', function () {
    $user = account();
    $this->postJson('/api/password/forgot', ['email' => 'nobody@example.org'])->assertNoContent();
    $this->postJson('/api/password/forgot', ['email' => 'mossy@example.org'])->assertNoContent();
    $letter = app(Mailbox::class)->letters()[0];
    expect($letter['text'])->toContain(url('/').'/new-password?email=mossy');
    expect($letter['to'])->toBe('mossy@example.org')->and(preg_match('/token=([0-9a-f]+)/', $letter['text'], $match))->toBe(1);
    config(['jolly.mailbox_word' => 'a word of the owner']);
    $this->get('/mailbox')->assertOk()->assertDontSee('new-password');
    $this->get('/mailbox?word=guessed')->assertOk()->assertDontSee('new-password');
    $this->get('/mailbox?word=a+word+of+the+owner')->assertOk()->assertSee('new-password?email=mossy');
    $reset = ['email' => 'mossy@example.org', 'token' => $match[1], 'password' => 'another long secret'];
    $this->postJson('/api/password/reset', ['token' => 'wrong'] + $reset)->assertStatus(422);
    $this->postJson('/api/password/reset', $reset)->assertNoContent();
    expect(Hash::check('another long secret', (string) $user->refresh()->password))->toBeTrue();
    $this->postJson('/api/password/reset', $reset)->assertStatus(422);
});

it('keeps the last fifty letters on this machine, and none where there is post', function () {
    $send = fn (string $subject) => Mail::raw('Words.', fn (Message $mail) => $mail->to('mossy@example.org')->subject($subject));
    foreach (range(1, 52) as $n) {
        $send("Letter {$n}");
    }
    $letters = app(Mailbox::class)->letters();
    expect($letters)->toHaveCount(50)->and($letters[0]['subject'])->toBe('Letter 52');
    config(['jolly.mailbox' => false]);
    $send('Letter 53');
    expect(app(Mailbox::class)->letters()[0]['subject'])->toBe('Letter 52');
});

it('changes e-mail and password with the present password only', function () {
    $user = account();
    $this->actingAs($user);
    $this->patchJson('/api/account', ['email' => 'fern@example.org', 'current_password' => 'wrong'])->assertStatus(422);
    $this->patchJson('/api/account', ['email' => 'fern@example.org', 'password' => 'another long secret', 'current_password' => SECRET])
        ->assertOk()
        ->assertJsonPath('email', 'fern@example.org');
    expect(Hash::check('another long secret', (string) $user->refresh()->password))->toBeTrue();
});

it('gives out everything in one file', function () {
    $this->actingAs(account());
    $id = $this->getJson('/api/seasons')->json('seasons.0.id');
    $this->patchJson("/api/seasons/{$id}", [
        'changes' => [['path' => ['confidence'], 'from' => 0.9, 'to' => 0.8]],
        'label' => 'how sure',
    ])->assertOk();
    $file = json_decode($this->get('/api/account/export')->assertOk()->streamedContent(), true);
    expect($file['email'])
        ->toBe('mossy@example.org')
        ->and($file['seasons'][0]['season']['crops'])
        ->toHaveCount(12)
        ->and($file['seasons'][0]['history'][0])
        ->toMatchArray(['label' => 'how sure', 'undone' => false])
        ->and(json_encode($file))
        ->not->toContain('argon2')
        ->and(array_column($file['seasons'], 'archived'))
        ->toBe([false]);
});

it('deletes the account with all its data', function () {
    $user = account();
    $this->actingAs($user);
    $this->deleteJson('/api/account', ['current_password' => 'wrong'])->assertStatus(422);
    $this->deleteJson('/api/account', ['current_password' => SECRET])->assertNoContent();
    expect(User::query()->find($user->id))
        ->toBeNull()
        ->and(Season::withTrashed()->where('user_id', $user->id)->count())
        ->toBe(0);
    $this->assertGuest();
});

it('clears trial gardens nobody came back to, and no others', function () {
    $old = User::query()->create(['trial' => true]);
    $new = User::query()->create(['trial' => true]);
    $kept = account();
    User::query()
        ->whereKey([$old->id, $kept->id])
        ->update(['last_seen_at' => now()->subDays(31)]);
    $gone = DemoSeason::giveTo($new);
    $gone->delete();
    Season::onlyTrashed()
        ->whereKey($gone->id)
        ->update(['deleted_at' => now()->subDays(31)]);
    expect(app(Garden::class)->clear())->toBe([1, 1]);
    expect(User::query()->find($old->id))
        ->toBeNull()
        ->and(User::query()->find($new->id))
        ->not->toBeNull()
        ->and(User::query()->find($kept->id))
        ->not->toBeNull();
});

it('asks for the token that another site cannot have', function () {
    $this->get('/');
    // The framework leaves the check out in tests unless it is told that these are none.
    $this->app['env'] = 'production';
    $this->postJson('/api/account', ['email' => 'new@example.org', 'password' => SECRET])->assertStatus(419);
    expect(User::query()->where('email', 'new@example.org')->exists())->toBeFalse();
});

it('brings along a demo on which only something was kept beside the plan', function (string $what, callable $make) {
    $account = account();
    [$trial, $season] = gardener();
    $make($this->actingAs($trial), "/api/seasons/{$season->id}");
    app(Garden::class)->bringAlong($trial, $account);
    expect(Season::query()->whereKey($season->id)->value('user_id'))->toBe($account->id, $what);
})->with([
    ['a picture', function (object $test, string $url): void {
        ob_start();
        imagejpeg(imagecreatetruecolor(8, 8));
        $test->putJson("{$url}/photos/picture-0001", ['on' => '2027-04-21', 'image' => base64_encode((string) ob_get_clean())])->assertNoContent();
    }],
    ['a device', fn (object $test, string $url) => $test->postJson("{$url}/devices", ['name' => 'Meter', 'kind' => 'meter', 'list' => 'lights',
        'thing' => 'led'])->assertCreated()],
    ['a calendar feed', fn (object $test, string $url) => $test->putJson("{$url}/setups/bench/feed")->assertOk()],
    ['a roll', fn (object $test, string $url) => $test->postJson("{$url}/roll", ['setup' => 'bench'])->assertCreated()],
]);
