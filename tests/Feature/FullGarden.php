<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Price;
use App\Models\Season;
use App\Models\User;
use Illuminate\Support\Facades\Queue;
use Tests\FeatureTestCase;

/** A garden that has one of everything a person can make, made through the API as its pages do. */
final readonly class FullGarden
{
    /** What the API's description calls a set-up, crop, method and the like of the demo; the same in every garden. */
    private const OF_THE_DEMO = ['setup' => 'bench', 'crop' => 'copper-kettle', 'method' => 'blocks', 'figure' => 'cost', 'format' => 'xlsx'];

    /** @param  array<string, int|string>  $ids  the value of each parameter of a path; the token of a purchase and of a picture are the same */
    private function __construct(public User $user, public Season $season, public array $ids)
    {
    }

    public static function make(FeatureTestCase $test, string $name): self
    {
        [$user, $season] = gardener();
        $test->actingAs($user);
        $url = "/api/seasons/{$season->id}";
        $token = "token-{$name}-0001";
        $test->putJson("{$url}/purchases/{$token}", ['kind' => 'gear', 'thing' => 'shelf', 'name' => 'Shelf', 'packs' => 1, 'paid' => 40,
            'on' => '2027-03-01'])->assertNoContent();
        $test->putJson("{$url}/photos/{$token}", ['on' => '2027-04-21', 'image' => base64_encode(self::jpeg())])->assertNoContent();
        $test->postJson("{$url}/log", ['entries' => [['id' => "{$name}-00000001", 'on' => '2027-04-21', 'at' => '2027-04-21T10:00:00Z',
            'kind' => 'note', 'note' => 'Warm.']]])->assertOk();
        $device = $test->postJson("{$url}/devices", ['name' => 'Meter', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led'])
            ->assertCreated()->json('id');
        $place = $test->postJson('/api/weather', ['name' => 'Yard'])->assertCreated()->json('id');
        $test->postJson("/api/weather/{$place}/table", ['table' => base64_encode("2027-04-20,2,14\n"), 'unit' => 'C', 'month_first' => false])->assertOk();
        $test->putJson("{$url}/setups/bench/feed")->assertOk();
        // Nobody waits here for what it comes to.
        Queue::fake();
        $work = $test->postJson("{$url}/work", ['kind' => 'mix', 'setup' => 'bench'])->assertStatus(202)->json('id');
        $test->postJson('/api/prices', ['name' => 'Perlite', 'price' => 4, 'currency' => 'USD', 'on' => '2027-02-01'])->assertNoContent();
        $price = Price::query()->where('user_id', $user->id)->value('id');
        $item = $test->postJson('/api/shed', ['kind' => 'gear', 'name' => 'Old shelf', 'amount' => 1])->assertOk()->json('items.0.id');
        $test->postJson("{$url}/roll", ['setup' => 'bench'])->assertCreated();
        $roll = $test->getJson('/api/shed')->json('rolled.id');

        return new self($user, $season, [...self::OF_THE_DEMO, 'season' => $season->id, 'token' => $token, 'device' => $device, 'place' => $place,
            'work' => $work, 'price' => $price, 'item' => $item, 'roll' => $roll]);
    }

    private static function jpeg(): string
    {
        ob_start();
        imagejpeg(imagecreatetruecolor(8, 8));

        return (string) ob_get_clean();
    }
}
