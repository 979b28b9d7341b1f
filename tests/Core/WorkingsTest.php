<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupCosting;
use JollyPenny\Core\Showing\Workings\BuyingWorkings;
use JollyPenny\Core\Showing\Workings\CropWorkings;
use JollyPenny\Core\Showing\Workings\NoSuchFigure;
use JollyPenny\Core\Showing\Workings\SetupWorkings;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

const OF_SETUP = [
    'per_finished',
    'per_wanted',
    'nursery_per_plant',
    'same_per_plant',
    'keep',
    'cash_now',
    'cost',
    'fill_cost',
    'hours',
    'implied_wage',
    'filled',
    'p_all_enough',
    'crowded_days',
];

it('explains every figure of every set-up and crop with its own value', function () {
    $explained = 0;
    for ($seed = 80_000; $seed < 80_060; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        $costing = new SeasonCosting($season);
        foreach ($season->setups as $setup) {
            $books = $costing->books($setup);
            $result = SetupCosting::result($books);
            $whole = new SetupWorkings($books, $result);
            foreach (OF_SETUP as $figure) {
                $working = $whole->explain($figure);
                $result->{$figure} === null
                    ? expect($working->value)->toBeNull()
                    : expect((float) $working->value)->toBeNear((float) $result->{$figure});
            }
            foreach ($result->crops as $crop) {
                if (! $crop->grown) {
                    expect(fn () => new CropWorkings($books, $crop))->toThrow(NoSuchFigure::class);

                    continue;
                }
                $workings = new CropWorkings($books, $crop);
                foreach (['g', 'seeds', 'p_enough', 'cost', 'per_finished', 'extra_cost'] as $figure) {
                    $crop->{$figure} === null
                        ? expect($workings->explain($figure)->value)->toBeNull()
                        : expect((float) $workings->explain($figure)->value)->toBeNear((float) $crop->{$figure});
                }
                foreach (Head::cases() as $head) {
                    $working = $workings->explain($head->value);
                    expect($working->value)->toBeNear($crop->heads[$head->value]);
                    // Money that nothing is said to come from is not explained.
                    expect(abs($working->value) > 1e-9 && $working->terms === [])->toBeFalse($head->value);
                }
                if ($crop->buy_cost !== null) {
                    expect((new BuyingWorkings($books, $crop))->explain('buy_cost')->value)->toBeNear($crop->buy_cost);
                }
                $explained++;
            }
        }
    }
    expect($explained)->toBeGreaterThan(100);
});

it('adds up where it shows a sum', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    foreach ($season->setups as $setup) {
        $books = $costing->books($setup);
        $result = SetupCosting::result($books);
        foreach (['cost', 'cash_now', 'hours', ...array_keys($result->heads)] as $figure) {
            $working = (new SetupWorkings($books, $result))->explain($figure);
            expect(array_sum(array_map(fn ($term) => (float) $term->value, $working->terms)))->toBeNear((float) $working->value, 1e-9);
        }
    }
});

it('names a path to each number of the season, and the number stands there', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $result = SetupCosting::result($books);
    $checked = 0;
    foreach ($result->crops as $crop) {
        $workings = new CropWorkings($books, $crop);
        foreach (['g', 'seeds', ...array_keys(array_filter($crop->heads))] as $figure) {
            foreach ($workings->explain($figure)->terms as $term) {
                if ($term->path === null || count($term->path) !== 3 || ! array_is_list($file[$term->path[0]])) {
                    continue;
                }
                [$list, $id, $key] = $term->path;
                $row = array_column($file[$list], null, 'id')[$id] ?? null;
                expect($row)->not->toBeNull(implode('.', $term->path));
                if (is_numeric($row[$key] ?? null) && is_numeric($term->value)) {
                    expect((float) $term->value)->toBeNear((float) $row[$key]);
                    $checked++;
                }
            }
        }
    }
    expect($checked)->toBeGreaterThan(200);
});

it('says that there is no such figure', function () {
    $season = Seasons::read(Seasons::small());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $result = SetupCosting::result($books);
    expect(fn () => (new SetupWorkings($books, $result))->explain('luck'))
        ->toThrow(NoSuchFigure::class)
        ->and(fn () => (new CropWorkings($books, $result->crops[0]))->explain('luck'))
        ->toThrow(NoSuchFigure::class);
});
