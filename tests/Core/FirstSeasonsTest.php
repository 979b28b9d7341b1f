<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\Savings;
use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\SeasonReader;

// Twenty first seasons, invented, from short summers to no frost and from a window to lamps, with what the program answers to each:
// the headline, the days and costs, the first three pieces of advice. Every line was looked at; what changes one of them has to be looked
// at again, and the file written anew with JOLLY_GOLDEN=write.

const GOLDEN = __DIR__.'/../fixtures/first-seasons';

/** @return array<string, array{0: string, 1: ?string, 2: bool, 3: list<string>, 4: string}> last and first frost, frostless, what is there, the list */
function twentySeasons(): array
{
    return [
        'a windowsill with five crops' => ['2027-05-15', null, false, [], '6 tomato, 4 pepper, 6 basil, 12 lettuce, 3 zucchini'],
        'a short summer in the hills' => ['2027-06-10', '2027-09-05', false, ['led'], '6 cherry tomatoes, 12 kale, 24 lettuce, 8 cabbage, 30 peas'],
        'a short summer, all in the bed' => ['2027-06-05', '2027-09-10', false, [], '40 carrots, 30 radishes, 30 peas, 20 spinach, 12 kale'],
        'jugs and saved pots' => ['2027-05-15', '2027-10-01', false, ['saved_pots', 'jugs'], '12 kale, 24 lettuce, 12 snapdragon, 20 onions, 8 tomatoes'],
        'jugs alone' => ['2027-05-10', '2027-10-05', false, ['jugs'], '12 broccoli, 12 cabbage, 12 calendula, 6 zinnias'],
        'a lamp shelf with fourteen crops' => ['2027-05-12', '2027-10-08', false, ['led', 'mat', 'shelf', 'trays'],
            '8 tomato, 8 sweet pepper, 4 hot pepper, 4 eggplant, 24 lettuce, 12 broccoli, 12 cabbage, 50 onions, 20 leeks, 6 basil, 6 parsley, 4 cucumber, 12 marigold, 12 zinnia'],
        'an old lamp and saved pots' => ['2027-04-30', '2027-10-20', false, ['old_lamp', 'saved_pots'], '12 tomato, 8 pepper, 24 lettuce, 12 marigold'],
        'autumn crops' => ['2027-05-01', '2027-10-15', false, ['led', 'trays'], '12 fall broccoli, 12 autumn cabbage, 6 fall kale, 30 fall carrots, 8 chinese cabbage, 12 autumn lettuce'],
        'spring and autumn' => ['2027-04-20', '2027-10-25', false, ['trays'], '12 broccoli, 12 autumn broccoli, 24 lettuce, 24 autumn spinach'],
        'hot peppers on a mat' => ['2027-05-05', '2027-10-10', false, ['led', 'mat'], '6 habaneros, 6 jalapeños, 4 cayenne, 2 scotch bonnet'],
        'flowers under a lamp' => ['2027-05-15', null, false, ['led', 'trays'], '24 petunias, 24 pansies, 12 lobelia, 24 marigolds, 12 impatiens, 12 geraniums'],
        'cut flowers' => ['2027-05-08', '2027-10-12', false, ['led', 'mat', 'shelf', 'trays'], '60 zinnias, 40 snapdragons, 30 cosmos, 20 stock, 20 lisianthus, 30 statice'],
        'herbs on a sill' => ['2027-05-20', null, false, ['saved_pots'], '6 basil, 4 parsley, 3 chives, 3 thyme, 2 sage, 1 rosemary'],
        'a mild coast' => ['2027-02-10', '2027-12-05', false, ['led'], '12 tomato, 12 lettuce, 12 broccoli, 6 pepper'],
        'no frost' => ['2027-02-20', null, true, ['trays'], '12 tomato, 12 pepper, 24 lettuce, 6 eggplant, 12 basil'],
        'no frost in the south' => ['2027-08-20', null, true, [], '12 tomato, 12 lettuce, 6 pumpkin'],
        'the south' => ['2027-10-10', '2028-05-05', false, ['led', 'trays'], '8 tomato, 8 pepper, 24 lettuce, 12 cabbage'],
        'onions and leeks' => ['2027-05-10', '2027-10-01', false, ['led'], '200 onions, 60 leeks, 30 shallots, 40 spring onions'],
        'six hundred plants' => ['2027-05-10', '2027-10-01', false, ['led', 'mat', 'shelf', 'trays'],
            '120 tomato, 80 sweet pepper, 120 lettuce, 60 broccoli, 60 cabbage, 60 marigold, 40 basil, 60 petunia'],
        'what nobody sells' => ['2027-05-10', '2027-10-01', false, [], '40 carrots, 30 beans, 40 corn, 30 radishes, 20 parsnips'],
    ];
}

/** What the program answers, in lines. */
function answerTo(string $last, ?string $first, bool $frostless, array $have, string $list): string
{
    $document = Starter::season('First', Day::parse($last), 0.18, 'USD', false, $have, $first === null ? null : Day::parse($first), $frostless);
    $asked = (new GrowList(new SeasonDraft($document)))->addPasted($list);
    $season = (new SeasonReader())->readDocument($document);
    $costing = new SeasonCosting($season);
    $comparison = Comparison::forSeason($costing);
    $advice = $comparison->advice;
    $cash = fn (?float $money): string => $money === null ? '-' : sprintf('%.2f', $money);
    $lines = ["list: {$list}", 'last frost '.$last.', first '.($first ?? ($frostless ? 'never' : 'unknown')).'; has '.(implode(', ', $have) ?: 'nothing'),
        'asked: '.(implode(' ', array_column($asked, 'question')) ?: 'nothing'),
        $advice === null ? 'no answer' : "headline: {$advice->setup}; fills the list for {$cash($advice->cost)}, saves {$cash($advice->saves)}, ".($advice->qualifies ? 'has room' : 'falls short')];
    $setups = array_column($season->setups, null, 'id');
    foreach ($costing->result()['setups'] as $result) {
        $lines[] = '';
        $lines[] = sprintf('%s: per finished %s, same plants %s, nursery %s, cash %s, crowded %d, missing %.1f', $result->id, $cash($result->per_finished),
            $cash($result->same_per_plant), $cash($result->nursery_per_plant), $cash($result->cash_now), $result->crowded_days, $result->missing);
        array_push($lines, ...array_map(cropLine(...), $result->crops));
    }
    $lines[] = '';
    foreach (array_slice((new Savings($season, $setups[$advice->setup ?? 'own'] ?? $season->setups[0]))->advice()->changes, 0, 3) as $change) {
        $lines[] = sprintf('advice: %s (%s)%s', $change->words, $cash($change->saves), $change->breaks === [] ? '' : ' but '.implode(', ', $change->breaks));
    }

    return implode("\n", $lines)."\n";
}

function cropLine(CropResult $crop): string
{
    return $crop->grown
        ? sprintf('  %s by %s: sown %s, out %s%s, each %s, %s', $crop->id, $crop->method, $crop->sow_on, $crop->plant_out_on,
            $crop->late_days > 0 ? ", {$crop->late_days} days late" : '', $crop->per_finished === null ? '-' : sprintf('%.2f', $crop->per_finished),
            implode(' ', [$crop->verdict, ...$crop->warnings]))
        : sprintf('  %s by %s: %s', $crop->id, $crop->method, $crop->cost === null ? implode(' ', $crop->warnings) : sprintf('bought for %.2f', $crop->cost));
}

it('answers a first season as before', function (string $name) {
    [$last, $first, $frostless, $have, $list] = twentySeasons()[$name];
    $file = GOLDEN.'/'.str_replace([' ', ','], ['-', ''], $name).'.txt';
    $answer = answerTo($last, $first, $frostless, $have, $list);
    getenv('JOLLY_GOLDEN') === 'write' && file_put_contents($file, $answer);
    expect($answer)->toBe(file_get_contents($file));
})->with(array_combine(array_keys(twentySeasons()), array_map(fn (string $name): array => [$name], array_keys(twentySeasons()))));
