<?php

declare(strict_types=1);

use App\Docs\FormatPage;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use Tests\Seasons;

it('reads the demo and writes it back as the same season', function () {
    $season = Seasons::read(Seasons::demo());
    expect($season->crops)->toHaveCount(12)->and((new SeasonReader())->read((new SeasonWriter())->toJson($season)))->toEqual($season);
});

it('keeps meta through a round trip and means nothing by it', function () {
    $file = Seasons::small();
    $plain = Seasons::result($file);
    $file['meta'] = ['kept' => ['a', 1.5]];
    $file['crops'][0]['meta'] = ['note' => 'by the door'];
    $file['methods'][0]['stages'][0]['meta'] = ['n' => 1];
    $written = json_decode((new SeasonWriter())->toJson(Seasons::read($file)), true);
    expect($written['meta'])
        ->toBe(['kept' => ['a', 1.5]])
        ->and($written['crops'][0]['meta'])
        ->toBe(['note' => 'by the door'])
        ->and($written['methods'][0]['stages'][0]['meta'])
        ->toBe(['n' => 1])
        ->and(Seasons::result($file)->cost)
        ->toBe($plain->cost);
});

it('names each fault by its path', function (callable $spoil, string $path) {
    $file = Seasons::small();
    $spoil($file);
    expect(Seasons::faults($file))->toContain($path);
})->with([
    'unknown key' => [fn (&$f) => ($f['crops'][0]['wantd'] = 3), '$.crops[0].wantd'],
    'unknown key at the top' => [fn (&$f) => ($f['colour'] = 'red'), '$.colour'],
    'missing key' => [
        function (&$f) {
            unset($f['crops'][0]['lot']);
        },
        '$.crops[0].lot',
    ],
    'other format' => [fn (&$f) => ($f['format'] = 'other'), '$.format'],
    'later version' => [fn (&$f) => ($f['version'] = 2), '$.version'],
    'date that does not exist' => [fn (&$f) => ($f['last_frost'] = '2027-02-29'), '$.last_frost'],
    'sowing date in words' => [fn (&$f) => ($f['crops'][0]['sow_on'] = 'May'), '$.crops[0].sow_on'],
    'nothing wanted' => [fn (&$f) => ($f['crops'][0]['wanted'] = 0), '$.crops[0].wanted'],
    'half a plant' => [fn (&$f) => ($f['crops'][0]['wanted'] = 2.5), '$.crops[0].wanted'],
    'negative price' => [fn (&$f) => ($f['nursery'][0]['price'] = -1), '$.nursery[0].price'],
    'price as text' => [fn (&$f) => ($f['nursery'][0]['price'] = '5'), '$.nursery[0].price'],
    'offer without plants' => [fn (&$f) => ($f['nursery'][0]['plants'] = 0), '$.nursery[0].plants'],
    'survival of 0' => [fn (&$f) => ($f['methods'][0]['stages'][1]['survival'] = 0), '$.methods[0].stages[1].survival'],
    'survival above 1' => [fn (&$f) => ($f['methods'][0]['stages'][1]['survival'] = 1.01), '$.methods[0].stages[1].survival'],
    'more hours than a day has' => [fn (&$f) => ($f['lights'][0]['hours_per_day'] = 25), '$.lights[0].hours_per_day'],
    'life of 0' => [fn (&$f) => ($f['containers'][0]['life_seasons'] = 0), '$.containers[0].life_seasons'],
    'shrinkage of 1' => [
        fn (&$f) => ($f['mixes'] = [['id' => 'm', 'name' => 'M', 'parts' => [['supply' => 'starter', 'parts' => 1]], 'shrinkage' => 1]]),
        '$.mixes[0].shrinkage',
    ],
    'twelve months' => [fn (&$f) => ($f['places'][0]['temp_c'] = [1, 2, 3]), '$.places[0].temp_c'],
    'time of day' => [fn (&$f) => ($f['lights'][0]['on_at'] = '24:00'), '$.lights[0].on_at'],
    'id twice' => [fn (&$f) => ($f['supplies'][1]['id'] = 'starter'), '$.supplies[1].id'],
    'unknown place' => [fn (&$f) => ($f['lights'][0]['place'] = 'rom'), '$.lights[0].place'],
    'unknown container' => [fn (&$f) => ($f['methods'][0]['stages'][0]['container'] = 'cells'), '$.methods[0].stages[0].container'],
    'unknown mix' => [fn (&$f) => ($f['methods'][0]['stages'][0]['mix'] = 'stater'), '$.methods[0].stages[0].mix'],
    'unknown lot' => [fn (&$f) => ($f['crops'][0]['lot'] = 'lott'), '$.crops[0].lot'],
    'unknown offer' => [fn (&$f) => ($f['crops'][0]['nursery'] = ['sex']), '$.crops[0].nursery[0]'],
    'unknown method' => [fn (&$f) => ($f['setups'][0]['method'] = 'cell'), '$.setups[0].method'],
    'override of nothing' => [fn (&$f) => ($f['setups'][0]['overrides'] = ['lanten' => 'cells']), '$.setups[0].overrides.lanten'],
    'override to nothing' => [fn (&$f) => ($f['setups'][0]['overrides'] = ['lantern' => 'pots']), '$.setups[0].overrides.lantern'],
    'lamp twice' => [fn (&$f) => ($f['setups'][0]['lights'] = ['lamp', 'lamp']), '$.setups[0].lights[1]'],
    'method called nursery' => [fn (&$f) => ($f['methods'][0]['id'] = 'nursery'), '$.methods[0].id'],
    'lamp outdoors' => [fn (&$f) => ($f['lights'][0]['place'] = 'yard'), '$.lights[0].place'],
    'light outdoors' => [fn (&$f) => ($f['methods'][0]['stages'][2]['light'] = true), '$.methods[0].stages[2].light'],
    'room outdoors' => [fn (&$f) => ($f['places'][1]['flats'] = 3), '$.places[1].flats'],
    'indoors without temperature' => [fn (&$f) => ($f['places'][0]['temp_c'] = null), '$.places[0].temp_c'],
    'mat that lifts nothing' => [fn (&$f) => ($f['mats'][0]['lift_c'] = 0), '$.mats[0].lift_c'],
    'first stage in nothing' => [
        function (&$f) {
            unset($f['methods'][0]['stages'][0]['container']);
        },
        '$.methods[0].stages[0].container',
    ],
    'several to a site at first' => [
        fn (&$f) => ($f['methods'][0]['stages'][0]['plants_per_site'] = 2),
        '$.methods[0].stages[0].plants_per_site',
    ],
    'several to a site without a container' => [
        fn (&$f) => ($f['methods'][0]['stages'][1]['plants_per_site'] = 2),
        '$.methods[0].stages[1].plants_per_site',
    ],
    'emergence later on' => [fn (&$f) => ($f['methods'][0]['stages'][1]['days'] = 'emergence'), '$.methods[0].stages[1].days'],
    'emergence where no temperature is known' => [
        function (&$f) {
            $f['methods'][0]['stages'] = [['name' => 'Out', 'place' => 'yard', 'days' => 'emergence', 'survival' => 0.9]];
        },
        '$.methods[0].stages[0].days',
    ],
    'emergence of which nothing is known' => [fn (&$f) => ($f['species'][0]['germination'] = []), '$.species[0].days_to_emerge'],
    'rows out of order' => [fn (&$f) => ($f['species'][0]['germination'][1]['temp_c'] = 5), '$.species[0].germination[1].temp_c'],
    'row repeated' => [fn (&$f) => ($f['species'][0]['germination'][1]['temp_c'] = 10), '$.species[0].germination[1].temp_c'],
    'percent without days' => [fn (&$f) => ($f['species'][0]['germination'][0]['days'] = null), '$.species[0].germination[0].days'],
    'windows that overlap' => [
        fn (&$f) => ($f['electricity']['windows'] = [
            ['from' => '22:00', 'to' => '06:00', 'rate' => 0.1],
            ['from' => '05:30', 'to' => '07:00', 'rate' => 0.1],
        ]),
        '$.electricity.windows[1].from',
    ],
    'a whole day and another' => [
        fn (&$f) => ($f['electricity']['windows'] = [
            ['from' => '08:00', 'to' => '08:00', 'rate' => 0.1],
            ['from' => '10:00', 'to' => '11:00', 'rate' => 0.1],
        ]),
        '$.electricity.windows[1].from',
    ],
    'no first frost' => [fn (&$f) => ($f['crops'][0]['anchor'] = 'first_frost'), '$.crops[0].anchor'],
    'split that does not add up' => [fn (&$f) => ($f['crops'][0]['split'] = ['keep' => 1, 'give' => 1, 'sell' => 0]), '$.crops[0].split'],
    'sites and seeds' => [fn (&$f) => ($f['crops'][0]['sow'] = ['method' => 'cells', 'sites' => 3, 'seeds' => 3]), '$.crops[0].sow'],
    'packet of how many' => [fn (&$f) => ($f['seed_lots'][0]['seeds_per_packet'] = null), '$.seed_lots[0].seeds_per_packet'],
    'more sprouted than sown' => [
        fn (&$f) => ($f['seed_lots'][0]['test'] = ['sown' => 10, 'sprouted' => 11]),
        '$.seed_lots[0].test.sprouted',
    ],
    'mix in a bed' => [
        function (&$f) {
            $f['methods'][0]['stages'] = [['name' => 'Bed', 'place' => 'yard', 'days' => 20, 'survival' => 0.9, 'mix' => 'starter']];
        },
        '$.methods[0].stages[0].mix',
    ],
]);

it('accepts what is unusual but right', function (callable $change) {
    $file = Seasons::small();
    $change($file);
    expect(Seasons::faults($file))->toBe([]);
})->with([
    'windows that only touch' => [
        fn (&$f) => ($f['electricity']['windows'] = [
            ['from' => '22:00', 'to' => '06:00', 'rate' => 0.1],
            ['from' => '06:00', 'to' => '22:00', 'rate' => 0.2],
        ]),
    ],
    'a leap day' => [fn (&$f) => ($f['last_frost'] = '2028-02-29')],
    'a whole number written with a point' => [fn (&$f) => ($f['crops'][0]['wanted'] = 3.0)],
    'no offers' => [fn (&$f) => ($f['crops'][0]['nursery'] = [])],
    'no crops' => [fn (&$f) => ($f['crops'] = [])],
    'direct sowing' => [fn (&$f) => ($f['methods'][0]['stages'] = [['name' => 'Bed', 'place' => 'yard', 'days' => 20, 'survival' => 0.9]])],
    'strange names' => [fn (&$f) => ($f['seed_lots'][0]['variety'] = str_repeat('<b>ש</b>', 25))],
]);

it('tells all faults at once, with the nearest known name', function () {
    $file = Seasons::small();
    $file['crops'][0]['wantd'] = 1;
    $file['crops'][0]['wanted'] = 0;
    $file['lights'][0]['place'] = 'rooom';
    try {
        Seasons::read($file);
        test()->fail('It was accepted.');
    } catch (InvalidSeason $e) {
        expect($e->faults)
            ->toHaveCount(3)
            ->and($e->getMessage())
            ->toContain('Did you mean "wanted"?')
            ->toContain('Did you mean "room"?')
            ->and(substr_count($e->getMessage(), "\n"))
            ->toBe(2);
    }
});

it('refuses text that is no season, clearly and at once', function (string $text, string $says) {
    $memory = memory_get_usage();
    memory_reset_peak_usage();
    try {
        (new SeasonReader())->read($text);
        test()->fail('It was accepted.');
    } catch (InvalidSeason $e) {
        expect($e->getMessage())
            ->toContain($says)
            ->and(memory_get_peak_usage() - $memory)
            ->toBeLessThan(256_000_000);
    }
})->with([
    'empty' => ['  ', 'empty'],
    'no JSON' => ['{"name": }', 'not JSON'],
    'a table' => ["Variety,Seeds,Price\nCopper Kettle,30,3.5\n\"Ink Pot, early\",25,3\n", 'a table of values'],
    'a table with semicolons' => ["Sorte;Korn\nInk Pot;25\n", 'a table of values'],
    'a season cut short' => ["{\"name\": \"a\",\n\"year\": 2027,\n", 'not JSON'],
    'a list' => ['[]', 'one object'],
    'not UTF-8' => ["{\"name\": \"\xff\"}", 'UTF-8'],
    'over 5 MB' => [str_repeat(' ', JsonText::MAX_BYTES + 1), '5 MB'],
    'deep' => [str_repeat('[', 100_000), 'nested too deeply'],
    'wide' => ['{"a": ['.str_repeat('[1],', 1_200_000).'1]}', 'too many values'],
    'many keys' => ['{'.implode(',', array_map(fn ($i) => "\"k{$i}\":1", range(1, 90_000))).'}', 'is not a key'],
    'a key twice' => ['{"a": 1, "b": {"c": 1, "c": 2}}', '$.b.c'],
    'a key twice, written otherwise' => ['{"wanted": 1, "\u0077anted": 2}', 'given twice'],
    'a number without end' => ['{"year": 1e999}', '$.year'],
    'a zero byte' => ['{"name": "a\u0000b"}', 'zero byte'],
]);

it('has the same defaults in the schema as in the code', function () {
    $schema = SeasonSchema::get()->root;
    $reader = new RowReader();
    $small = Seasons::read(Seasons::small());
    $check = function (object $value, stdClass $node, string $path) use (&$check): void {
        foreach ((new ReflectionClass($value))->getConstructor()->getParameters() as $parameter) {
            $key = RowReader::keyOf($parameter->getName());
            $property = $node->properties->{$key} ?? null;
            expect($property)->not->toBeNull("{$path}.{$key} is not in the schema");
            if ($key !== 'meta' && property_exists($property, 'default')) {
                expect($parameter->isDefaultValueAvailable())->toBeTrue("{$path}.{$key}");
                $default = $parameter->getDefaultValue();
                $plain = match (true) {
                    $default instanceof BackedEnum => $default->value,
                    $default instanceof JollyPenny\Core\Season\ClockTime => $default->format(),
                    default => $default,
                };
                expect($plain == ($property->default instanceof stdClass ? [] : $property->default))->toBeTrue("{$path}.{$key}");
            }
            $inner = $value->{$parameter->getName()};
            if (is_array($inner) && is_object($inner[0] ?? null)) {
                $check($inner[0], $property->items, "{$path}.{$key}");
            } elseif (is_object($inner) && isset($property->properties)) {
                $check($inner, $property, "{$path}.{$key}");
            }
        }
        $known = array_map(fn ($p) => RowReader::keyOf($p->getName()), (new ReflectionClass($value))->getConstructor()->getParameters());
        expect(array_diff(array_keys(get_object_vars($node->properties)), $known))->toBe([], $path);
    };
    $check(Seasons::read(Seasons::demo()), $schema, '$');
    expect($small)->toBeInstanceOf(Season::class);
});

it('documents every key of the format', function () {
    $page = (string) file_get_contents(__DIR__.'/../../docs/season-format.md');
    expect($page)->toBe(FormatPage::text(), 'run bin/docs');
});
