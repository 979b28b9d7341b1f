<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Units\Penny;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

const GENERATED = 120;

/** @return Generator<int, array<string, mixed>> */
function generated(int $count, int $from = 10_000): Generator
{
    for ($seed = $from; $seed < $from + $count; $seed++) {
        yield $seed => (new SeasonGenerator($seed))->season();
    }
}

it('adds up: heads to crops, crops to the set-up, shown parts to the shown total', function () {
    foreach (generated(GENERATED) as $seed => $season) {
        $costing = new SeasonCosting(Seasons::read($season));
        foreach ($costing->result()['setups'] as $setup) {
            $crops = 0.0;
            foreach ($setup->crops as $crop) {
                if ($crop->heads !== null) {
                    expect(array_sum($crop->heads))->toBeNear($crop->cost);
                    $shown = Penny::parts($crop->heads);
                    expect(round(array_sum($shown), 2))->toBe(round($crop->cost, 2), "season {$seed}");
                    $crops += $crop->cost;
                }
                if ($crop->grown) {
                    expect($crop->useful + $crop->shortfall)
                        ->toBeNear((float) array_column($season['crops'], 'wanted', 'id')[$crop->id])
                        ->and($crop->useful + $crop->surplus)
                        ->toBeNear($crop->finished);
                }
            }
            expect(array_sum($setup->heads))
                ->toBeNear($setup->cost)
                ->and($crops)
                ->toBeNear($setup->cost)
                ->and(array_sum(array_column($setup->shopping, 'cost')))
                ->toBeNear($setup->cash_now);
        }
    }
});

it('never gets cheaper by a dearer kWh, and never sows less for more confidence where nothing is potted on', function () {
    foreach (generated(50, 20_000) as $season) {
        $before = Seasons::result($season);
        $dearer = $season;
        $dearer['electricity']['rate'] *= 1.5;
        expect(Seasons::result($dearer)->cost)->toBeGreaterThanOrEqual($before->cost - 1e-9);
        $surer = $season;
        $surer['confidence'] = min(0.999, $season['confidence'] + 0.02);
        $after = Seasons::result($surer);
        foreach ($before->crops as $i => $crop) {
            $later = array_filter($crop->stages, fn ($stage, $at) => $at > 0, ARRAY_FILTER_USE_BOTH);
            $pottedOn = array_filter($later, fn ($stage) => $stage->sites !== $crop->sites) !== [];
            if ($crop->grown && ! $pottedOn && $after->crops[$i]->grown) {
                expect($after->crops[$i]->seeds)->toBeGreaterThanOrEqual($crop->seeds);
            }
        }
    }
});

it('does not depend on the order of the crops', function () {
    foreach (generated(50, 30_000) as $season) {
        $one = Seasons::result($season);
        $season['crops'] = array_reverse($season['crops']);
        $other = Seasons::result($season);
        expect($other->cost)
            ->toBeNear($one->cost)
            ->and($other->cash_now)
            ->toBeNear($one->cash_now)
            ->and($other->crowded_days)
            ->toBe($one->crowded_days);
        $byId = array_column($other->crops, null, 'id');
        foreach ($one->crops as $crop) {
            expect($byId[$crop->id]->cost ?? 0.0)
                ->toBeNear($crop->cost ?? 0.0)
                ->and($byId[$crop->id]->extra_cost ?? 0.0)
                ->toBeNear($crop->extra_cost ?? 0.0);
        }
    }
});

it('writes a season back as the same season', function () {
    foreach (generated(60, 40_000) as $season) {
        $read = Seasons::read($season);
        expect((new SeasonReader())->read((new SeasonWriter())->toJson($read)))->toEqual($read);
    }
});
