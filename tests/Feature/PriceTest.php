<?php

declare(strict_types=1);

use App\Models\Price;
use App\Prices\Headings;
use App\Prices\PriceTable;

/** @param  array<string, mixed>  $more */
function sendTable(object $test, string $csv, array $more = []): Illuminate\Testing\TestResponse
{
    return $test->postJson('/api/prices/table', [...['file' => base64_encode($csv), 'currency' => 'EUR', 'dates' => 'dmy', 'keep' => false], ...$more]);
}

it('looks at a table first, keeps it then, and keeps nothing twice', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $csv = "thing,shop,holds,unit,price,date\nSeed-starting mix,Corner,16,qt,7.99,2027-02-03\nPerlite,Corner,56,L,18.40,2027-02-03\nPerlite,Corner,56,L,18.40,2027-02-03\n";
    $seen = sendTable($this, $csv)->assertOk()->json();
    expect($seen['rows'])->toBe(3)->and($seen['new'])->toBe(2)->and($seen['known'])->toBe(1)->and($seen['kept'])->toBeFalse()
        ->and(Price::query()->where('user_id', $user->id)->count())->toBe(0);
    sendTable($this, $csv, ['keep' => true])->assertOk();
    expect(sendTable($this, $csv, ['keep' => true])->json('new'))->toBe(0);
    expect(Price::query()->where('user_id', $user->id)->count())->toBe(2);
    // What is written out is read in again, and is all known.
    $out = (string) $this->get('/api/prices.csv')->assertOk()->getContent();
    expect(sendTable($this, $out)->json())->toMatchArray(['rows' => 2, 'new' => 0, 'known' => 2, 'faulty' => 0]);
});

it('reads what other programs write: separators, encodings, headings and numbers of other places', function (string $bytes, string $currency, array $line) {
    $table = PriceTable::parse($bytes, null, $currency, $currency === 'USD' ? 'mdy' : 'dmy', '2027-01-01');
    expect($table->faults)->toBe([])->and([$table->lines[0]->name, $table->lines[0]->price, $table->lines[0]->holds, $table->lines[0]->on])->toBe($line);
})->with([
    'semicolons, decimal commas, German' => ["Artikel;Laden;Inhalt;Einheit;Preis;Datum\r\nAnzuchterde;Markt;20;L;4,95;03.02.2027\r\n", 'EUR', ['Anzuchterde', 4.95, 20.0, '2027-02-03']],
    'byte-order mark, French, euro sign' => ["\u{FEFF}produit,prix,date\n\"Terreau, 20 L\",\"5,20 €\",2027-02-03\n", 'EUR', ['Terreau, 20 L', 5.2, null, '2027-02-03']],
    'tabs, US dates' => ["Item\tPrice\tDate\nMix\t$1,234.50\t2/13/2027\n", 'USD', ['Mix', 1234.5, null, '2027-02-13']],
    'Windows letters' => [mb_convert_encoding("pris;vara;innehåll\n49,90;Såjord;12\n", 'Windows-1252', 'UTF-8'), 'SEK', ['Såjord', 49.9, 12.0, '2027-01-01']],
    'UTF-16' => ["\xFF\xFE".mb_convert_encoding("品名,価格\n培養土,1280\n", 'UTF-16LE', 'UTF-8'), 'JPY', ['培養土', 1280.0, null, '2027-01-01']],
    'a thousand with a point' => ["Bezeichnung;Preis\nHochbeet;1.299\n", 'EUR', ['Hochbeet', 1299.0, null, '2027-01-01']],
]);

it('knows the headings of every shipped currency\'s region', function (string $name, string $price, string $date) {
    expect(Headings::recognise([$price, $name, $date]))->toBe(['price' => 0, 'name' => 1, 'on' => 2]);
})->with([
    ['Thing', 'Price', 'Date'], ['Artikel', 'Preis', 'Datum'], ['Produit', 'Prix', 'Jour'], ['Producto', 'Precio', 'Fecha'], ['Produto', 'Preço', 'Data'],
    ['Prodotto', 'Prezzo', 'Giorno'], ['Naam', 'Prijs', 'Datum'], ['Vara', 'Pris', 'Dag'], ['Vare', 'Pris', 'Dato'], ['Tuote', 'Hinta', 'Päivä'], ['Nazwa', 'Cena', 'Data'],
    ['Název', 'Cena', 'Datum'], ['Termék', 'Ár', 'Dátum'], ['Produs', 'Preț', 'Data'], ['Продукт', 'Цена', 'Дата'], ['Товар', 'Ціна', 'Дата'], ['Ürün', 'Fiyat', 'Tarih'],
    ['Προϊόν', 'Τιμή', 'Ημερομηνία'], ['商品名', '価格', '日付'], ['상품', '가격', '날짜'], ['名称', '价格', '日期'], ['สินค้า', 'ราคา', 'วันที่'], ['Barang', 'Harga', 'Tanggal'],
    ['Sản phẩm', 'Giá', 'Ngày'], ['नाम', 'मूल्य', 'दिनांक'], ['מוצר', 'מחיר', 'תאריך'], ['المنتج', 'السعر', 'التاريخ'],
]);

it('takes columns mapped by hand where their headings say nothing', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $csv = "a,b,c\nPerlite,x,18.40\n";
    expect(sendTable($this, $csv)->json())->toMatchArray(['new' => 0, 'map' => [], 'headings' => ['a', 'b', 'c']]);
    expect(sendTable($this, $csv, ['map' => ['name' => 0, 'price' => 2]])->json('new'))->toBe(1);
});

it('tells shops apart, takes what costs nothing, and no pack that holds nothing', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $csv = "thing,shop,holds,unit,price,date\nPerlite,Corner,56,L,18.40,2027-02-03\nPerlite,Market,56,L,18.40,2027-02-03\n"
        ."Saved pot,Neighbour,1,each,0,2027-02-03\nEmpty bag,Corner,0,L,3,2027-02-03\n";
    expect(sendTable($this, $csv, ['keep' => true])->json())->toMatchArray(['rows' => 4, 'new' => 3, 'known' => 0, 'faulty' => 1])
        ->and(sendTable($this, $csv)->json('faults.0'))->toMatchArray(['line' => 5]);
});

it('shows the newest 24 prices of a thing, and how many things are not on the page', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $days = array_map(fn (int $n): string => 'Perlite,'.(10 + $n / 100).','.date('Y-m-d', strtotime('2026-03-01') + 86400 * $n), range(1, 30));
    $things = array_map(fn (int $n): string => "Thing {$n},3,2025-01-01", range(1, 203));
    sendTable($this, "thing,price,date\n".implode("\n", [...$days, ...$things])."\n", ['keep' => true, 'dates' => 'dmy'])->assertOk();
    $book = $this->getJson('/api/prices')->assertOk()->json();
    $perlite = array_column($book['things'], null, 'name')['Perlite']['prices'];
    expect($perlite)->toHaveCount(24)->and($perlite[0]['price'])->toEqual(10.07)->and($perlite[23]['price'])->toEqual(10.3)
        ->and($book['things'])->toHaveCount(200)->and($book['more'])->toBeGreaterThan(0);
});

it('says what is wrong line by line, and takes the others', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $csv = "thing,price,date,holds\nMix,cheap,2027-02-03,1\n,3,2027-02-03,1\nPerlite,9,2027-02-31,1\nCoir,2,2027-02-03,none\nGood,2.5,2027-02-03,4\n";
    $seen = sendTable($this, $csv, ['currency' => 'USD'])->assertOk()->json();
    expect(array_column($seen['faults'], 'line'))->toBe([2, 3, 4, 5])->and($seen['new'])->toBe(1)->and($seen['faulty'])->toBe(4)
        ->and($seen['faults'][0]['why'])->toContain('cheap');
});

it('is not harmed by hostile tables, and says what is wrong', function (string $bytes, ?string $why) {
    [$user] = gardener();
    $this->actingAs($user);
    $answer = sendTable($this, $bytes, ['currency' => 'USD']);
    if ($why !== null) {
        expect($answer->assertStatus(422)->json('detail'))->toContain($why);

        return;
    }
    $answer->assertOk();
    sendTable($this, $bytes, ['currency' => 'USD', 'keep' => true])->assertOk();
    expect((string) $this->get('/api/prices.csv')->getContent())->not->toMatch('/(^|[\r\n,])"?[=+@]/');
})->with([
    'a formula' => ["thing,price\n=cmd|'/c calc'!A1,3\n@SUM(1),4\n", null],
    'nothing' => ['', 'empty'],
    'an open quote' => ["thing,price\n\"never closed,3\n".str_repeat("Mix,3\n", 500), 'never closed'],
    'ten thousand columns' => [implode(',', range(1, 10_000))."\n", 'columns'],
    'zero bytes' => ["thing,price\nMix\0,3\n", 'zero bytes'],
    'too many lines' => ["thing,price\n".str_repeat("Mix,3\n", 20_001), 'lines'],
    'four megabytes and more' => [str_repeat('a', 4_000_001), '4 MB'],
]);

it('offers a season the newest price of a thing by its name, with what that changes, and changes nothing by itself', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    foreach ([['7.10', '2027-01-05'], ['6.90', '2027-02-05']] as [$price, $on]) {
        $this->postJson('/api/prices', ['name' => 'Seed-starting mix, 16 qt bag', 'shop' => 'Corner', 'price' => $price, 'currency' => 'USD', 'on' => $on])->assertNoContent();
    }
    $this->postJson('/api/prices', ['name' => 'Perlite, 59 qt', 'price' => 1, 'currency' => 'EUR', 'on' => '2027-02-05'])->assertNoContent();
    $url = "/api/seasons/{$season->id}/setups/bench";
    $offers = $this->getJson("{$url}/prices")->assertOk()->json('offers');
    expect($offers)->toHaveCount(1)->and($offers[0]['path'])->toBe(['supplies', 'starter', 'pack_price'])->and($offers[0]['price'])->toBe(6.9)
        ->and($offers[0]['cash'])->toBeNear(6.9 - 8.49);
    $before = $this->getJson("/api/seasons/{$season->id}?setup=bench")->json('result.setups.0.cost');
    $this->patchJson("/api/seasons/{$season->id}", ['label' => 'new prices', 'changes' => [['path' => $offers[0]['path'], 'from' => $offers[0]['now'], 'to' => $offers[0]['price']]]])->assertOk();
    expect($this->getJson("/api/seasons/{$season->id}?setup=bench")->json('result.setups.0.cost'))->toBeNear($before + $offers[0]['cost'])
        ->and($this->getJson("{$url}/prices")->json('offers'))->toBe([]);
    // What was paid counts as well, where it is newer.
    $this->putJson("/api/seasons/{$season->id}/purchases/token-0001", ['kind' => 'supply', 'thing' => 'starter', 'name' => 'Seed-starting mix, 16 qt bag', 'packs' => 2, 'paid' => 13, 'on' => '2027-03-01']);
    expect($this->getJson("{$url}/prices")->json('offers.0.price'))->toEqual(6.5);
});

it('knows a pack however its name is spelled and in whatever unit its content is said', function (string $holds, string $unit, bool $isTheSame) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    // The season's bag holds 16 qt, kept as 15.14 L.
    $this->postJson('/api/prices', ['name' => 'seed starting mix; 16 QT bags', 'price' => '6.90', 'holds' => $holds, 'unit' => $unit, 'currency' => 'USD',
        'on' => '2027-02-05'])->assertNoContent();
    $offers = $this->getJson("/api/seasons/{$season->id}/setups/bench/prices")->assertOk()->json('offers');
    expect(array_column(array_filter($offers, fn (array $one): bool => $one['also'] === []), 'price'))->toEqual($isTheSame ? [6.9] : []);
})->with([['16', 'qt', true], ['16', 'Quarts', true], ['4', 'gallons', true], ['15.1', 'litres', true], ['8', 'qt', false], ['16', 'L', false]]);

it('offers the pack of the book that comes to least for what is needed', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $see = fn (float $price, int $quarts) => $this->postJson('/api/prices', ['name' => 'Seed-starting mix, 16 qt bag', 'price' => $price, 'holds' => $quarts,
        'unit' => 'qt', 'currency' => 'USD', 'on' => '2027-02-05'])->assertNoContent();
    $url = "/api/seasons/{$season->id}/setups/bench";
    $item = array_column($this->getJson("{$url}/shopping")->json('shopping.items'), null, 'id')['starter'];
    $missing = $item['need'] - $item['in_stock'];
    // By hand: whole packs of each, in quarts of 0.946352946 L.
    $cost = fn (float $price, int $quarts): float => ceil($missing / ($quarts * 0.946352946) - 1e-9) * $price;
    $packs = [[0.3, 1], [2.6, 8], [21.0, 64]];
    array_map(fn (array $pack) => $see(...$pack), $packs);
    $costs = array_map(fn (array $pack): float => $cost(...$pack), $packs);
    $best = array_search(min($costs), $costs, true);
    $offers = $this->getJson("{$url}/prices")->assertOk()->json('offers');
    expect(min($costs))->toBeLessThan($item['packs'] * $item['price']);
    expect($offers)->toHaveCount(1)->and($offers[0]['price'])->toEqual($packs[$best][0])
        ->and($offers[0]['also'][0]['path'])->toBe(['supplies', 'starter', 'pack_amount'])
        ->and($offers[0]['cash'])->toBeNear(min($costs) - $item['packs'] * $item['price'], 1e-6);
    $edits = [...$offers[0]['also'], ['path' => $offers[0]['path'], 'to' => $offers[0]['price']]];
    $changes = array_map(fn (array $one): array => $one + ['from' => null], $edits);
    foreach ($changes as $n => $change) {
        $changes[$n]['from'] = collect($season->document->supplies)->firstWhere('id', 'starter')->{$change['path'][2]};
    }
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => $changes, 'label' => 'a pack'])->assertOk();
    expect($this->getJson("{$url}/prices")->json('offers'))->toBe([]);
});

it('shows and takes out only one\'s own', function () {
    [$user] = gardener();
    [$other] = gardener();
    $this->actingAs($user)->postJson('/api/prices', ['name' => 'Perlite', 'price' => 18, 'currency' => 'USD', 'on' => '2027-02-05'])->assertNoContent();
    $id = $this->getJson('/api/prices?find=perl')->json('things.0.prices.0.id');
    $this->actingAs($other)->deleteJson("/api/prices/{$id}")->assertNoContent();
    expect($this->getJson('/api/prices')->json('things'))->toBe([]);
    $this->actingAs($user);
    expect($this->getJson('/api/prices?find=nothing')->json('things'))->toBe([])->and($this->getJson('/api/prices')->json('lines'))->toBe(1);
    $this->deleteJson("/api/prices/{$id}")->assertNoContent();
    expect($this->getJson('/api/prices')->json('lines'))->toBe(0);
});
