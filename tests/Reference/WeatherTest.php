<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\GoingOut\GoingOut;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Living\Weather\Frosts;
use JollyPenny\Core\Living\Weather\FrostYears;
use JollyPenny\Core\Living\Weather\OpenAir;
use JollyPenny\Core\Living\Weather\SimulatedWeather;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Living\Weather\WeatherSoil;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Measure;
use Tests\Oracle\PlainWeather;
use Tests\Seasons;

/** Springs that were not looked at while the calls were tuned (those were seeds 1 to 59, and once 5001 to 5200). */
const SPRINGS = [7001, 7200];

function number(string $date): int
{
    return Day::parse($date)->number;
}

it('comes up in the days that are printed, where the thermometer says the temperature they are printed for', function (string $id, float $fahrenheit, int $days) {
    // J. F. Harrington, Soil temperature conditions for vegetable seed germination (1954), days to emergence; from memory of handbook reprints.
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $yard = array_column($season->places, null, 'id')['yard'];
    $celsius = Measure::Fahrenheit->toCore($fahrenheit);
    // Weeks of days and nights around it; the plan itself is colder or warmer.
    $measured = array_fill(number('2027-04-01'), 70, new DayWeather($celsius - 7, $celsius + 7));
    $air = new OpenAir($season, new WeatherBook($measured), number('2027-06-09'));
    $up = fn (bool $bed): int => (new Seedbed(species($id)->germination, new WeatherSoil($air, $yard, $bed, null, null)))->sown(number('2027-04-10'), 1.0)->days;
    expect($up(true))->toBe($days)->and($up(false))->toBe($days);
})->with([
    'tomato at 77' => ['tomato', 77, 6], 'tomato at 59' => ['tomato', 59, 14], 'tomato at 68' => ['tomato', 68, 8],
    'lettuce at 59' => ['lettuce', 59, 4], 'lettuce at 50' => ['lettuce', 50, 7], 'pea at 50' => ['pea', 50, 14], 'pea at 68' => ['pea', 68, 8],
    'onion at 50' => ['onion', 50, 13], 'carrot at 68' => ['carrot', 68, 7], 'cabbage at 59' => ['cabbage', 59, 9],
]);

it('finds the distribution again that last frosts were drawn from', function () {
    // H. C. S. Thom and R. H. Shaw (1958), from memory: last frosts are normally distributed; tenths of a standard normal as printed in its tables.
    $quantiles = [-1.2816, -0.8416, -0.5244, -0.2533, 0.0, 0.2533, 0.5244, 0.8416, 1.2816];
    $measured = [];
    $years = 90;
    foreach (range(0, $years - 1) as $i) {
        $year = 1930 + $i;
        for ($day = number("{$year}-01-01"); $day < number(($year + 1).'-01-01'); $day++) {
            $measured[$day] = new DayWeather(4.0, 18.0);
        }
        // Nine years in ten have a frost, at one of the tenths around May 10, 12 days to a standard deviation; a false one in winter is not the last.
        $measured[number("{$year}-02-01")] = new DayWeather($i % 10 === 9 ? 1.0 : -8.0, 5.0);
        $i % 10 === 9 ?: $measured[number("{$year}-05-10") + (int) round(12 * $quantiles[$i % 10])] = new DayWeather(-0.1, 9.0);
    }
    $frosts = Frosts::fromYears(FrostYears::last(new WeatherBook($measured), Day::parse('2019-05-20')));
    $sample = array_map(fn (float $z): float => round(12 * $z), $quantiles);
    expect($frosts->years)->toHaveCount($years)->and(count(array_filter($frosts->years, fn (array $one): bool => $one['on'] === null)))->toBe(9)
        // Nine years without stand before the others, so the middle lies a little before May 10.
        ->and(number((string) $frosts->median) - number('2019-05-10'))->toBeBetween(-3, 0)
        ->and($frosts->spread_days)->toBeNear(sqrt(array_sum(array_map(fn (float $one): float => 9 * $one ** 2, $sample)) / 80), 1e-9)
        // 0.9 of the years frost; one in ten of all is 1/9 of these: z = 1.2206.
        ->and($frosts->safe_on)->toBe(Day::ofNumber(number('2019-05-10') + (int) ceil(1.2206 * $frosts->spread_days + 0.5))->format())
        ->and($frosts->chance(number('2019-05-10')))->toBeNear(0.9 * PlainWeather::normal(0.5 / $frosts->spread_days), 1e-6);
});

it('wants ten whole years, of which most had a frost', function () {
    $year = function (int $year, ?string $frost): array {
        $days = array_fill(number("{$year}-01-01"), 210, new DayWeather(5.0, 15.0));
        $frost === null ?: $days[number($frost)] = new DayWeather(0.0, 9.0);

        return $days;
    };
    $book = fn (array $frosts): WeatherBook => new WeatherBook(array_replace(...array_map($year, array_keys($frosts), $frosts)));
    $ten = array_combine(range(2010, 2019), array_map(fn (int $one): string => "{$one}-05-1".($one % 10), range(2010, 2019)));
    $of = fn (array $frosts): Frosts => Frosts::fromYears(FrostYears::last($book($frosts), Day::parse('2027-05-15')));
    expect($of($ten)->median)->toBe('2027-05-15')->and($of(array_slice($ten, 0, 9, true))->median)->toBeNull()
        // Half of them without: there is no middle to speak of.
        ->and($of(array_replace($ten, array_fill_keys(range(2010, 2014), null)))->median)->toBeNull()
        ->and($of(array_replace($ten, array_fill_keys(range(2010, 2013), null)))->median)->not->toBeNull();
    // A year of which every other day is missing may have had its frost on one of them.
    $half = array_map(fn (array $days): array => array_filter($days, fn (int $day): bool => $day % 2 === 0, ARRAY_FILTER_USE_KEY), array_map($year, array_keys($ten), $ten));
    expect(FrostYears::last(new WeatherBook(array_replace(...$half)), Day::parse('2027-05-15'))->years)->toBe([]);
    // South of the equator spring is in October, and a winter begins in one year and ends in the next.
    $south = [];
    foreach (range(2010, 2021) as $i => $one) {
        $south += array_fill(number("{$one}-07-10"), 210, new DayWeather(5.0, 15.0));
        $south[number("{$one}-10-0".(1 + $i % 9))] = new DayWeather(-1.0, 9.0);
    }
    ksort($south);
    expect(Frosts::fromYears(FrostYears::last(new WeatherBook($south), Day::parse('2027-10-01')))->median)->toBe('2027-10-04');
});

it('misses fewer than one cold night in twenty over two hundred springs it has never seen', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    [$from, $to] = [number('2027-04-01'), number('2027-07-10')];
    $sum = ['nights' => 0, 'called' => 0, 'right' => 0, 'missed' => 0];
    for ($seed = SPRINGS[0]; $seed <= SPRINGS[1]; $seed++) {
        // High and dry, near the sea, and a hollow that no forecast knows of.
        $weather = new SimulatedWeather($season->places[3]->tempC, $from, $to, $seed, [18.5, 11.0, 15.0][$seed % 3], 2.0, [0.0, 0.0, 2.5][$seed % 3]);
        $record = (new WeatherNow($books, new LogBook([]), new WeatherBook($weather->days, $weather->forecasts($from, $to - 1)), $to))->record();
        foreach ($record as $key => $n) {
            $sum[$key] += $n;
        }
    }
    $cold = $sum['right'] + $sum['missed'];
    fwrite(STDERR, sprintf("\n%d nights of 200 springs: %d cold, %d missed (%.3f); %d called, %.2f of them right\n", $sum['nights'], $cold, $sum['missed'],
        $sum['missed'] / $cold, $sum['called'], $sum['right'] / $sum['called']));
    expect($cold)->toBeGreaterThan(1000)->and($sum['missed'] / $cold)->toBeLessThan(0.05)->and($sum['right'] / $sum['called'])->toBeGreaterThan(0.5);
});

it('plants out at no more cost than any fixed rule over two hundred springs', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $sum = [];
    for ($seed = SPRINGS[0]; $seed <= SPRINGS[1]; $seed++) {
        $weather = new SimulatedWeather($season->places[3]->tempC, number('2015-01-01'), number('2027-07-19'), $seed, 18.5);
        $past = array_filter($weather->days, fn (int $day): bool => $day < number('2027-01-01'), ARRAY_FILTER_USE_KEY);
        $out = GoingOut::weigh($costing, $season->setups[0], new WeatherBook($past), ['copper-kettle'], false);
        $days = array_column($out->days, null, 'on');
        $last = (string) Frosts::fromYears(FrostYears::last(new WeatherBook($past), $season->lastFrost))->median;
        $rules = ['advised' => $out->best->on, 'at the last frost' => $last, 'a week after' => Day::ofNumber(number($last) + 7)->format(),
            'two weeks after' => Day::ofNumber(number($last) + 14)->format(), 'four weeks after' => Day::ofNumber(number($last) + 28)->format()];
        foreach ($rules as $rule => $on) {
            $on = max(array_key_first($days), min(array_key_last($days), (string) $on));
            $dies = array_filter($weather->days, fn (DayWeather $one, int $day): bool => $day >= number($on) && $one->low <= 0.0, ARRAY_FILTER_USE_BOTH);
            $sum[$rule] = ($sum[$rule] ?? 0.0) + $days[$on]->waiting + ($dies === [] ? 0.0 : $out->buy_anew);
        }
    }
    fwrite(STDERR, "\nplanting out, mean cost of 200 springs: ".implode(', ', array_map(fn (string $rule, float $cost): string => sprintf('%s %.2f', $rule, $cost / 200),
        array_keys($sum), $sum))."\n");
    foreach ($sum as $rule => $cost) {
        expect($sum['advised'])->toBeLessThanOrEqual($cost, $rule);
    }
});
