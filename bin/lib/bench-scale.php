<?php

// What bin/bench --scale prints: how each piece of work grows with the crops of a season and with its set-ups. Needs the functions of
// bin/bench.

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Plan\Ledger\LedgerParts;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Showing\Pictures\SeasonPictures;

/**
 * Prints a line of medians and how they grow from the second size to the last: 1 is as fast as the sizes do.
 *
 * @param  non-empty-list<int>  $sizes
 * @param  Closure(int): Closure  $workOf  made ready for a size
 */
function growth(string $name, array $sizes, Closure $workOf): void
{
    $took = [];
    foreach ($sizes as $size) {
        $work = $workOf($size);
        $work();
        $took[] = median($size >= 1000 ? 3 : 5, $work);
    }
    $last = count($sizes) - 1;
    printf("%-46s %s %8.2f\n", $name, implode(' ', array_map(fn (float $one): string => sprintf('%9.1f', $one), $took)),
        log($took[$last] / $took[1]) / log($sizes[$last] / $sizes[1]));
}

$crops = [1, 10, 100, 1000];
$seasons = [];
foreach ($crops as $size) {
    $seasons[$size] = repeated($size, true);
}
$read = array_map(read(...), $seasons);
$setup = fn (int $size) => $read[$size]->setups[0];
printf("%-46s %s %8s\n", 'ms, by crops', implode(' ', array_map(fn (int $one): string => sprintf('%9d', $one), $crops)), 'exponent');
growth('reading and checking the file', $crops, fn (int $n) => fn () => read($seasons[$n]));
growth('one set-up costed', $crops, fn (int $n) => fn () => (new SeasonCosting($read[$n]))->setup($setup($n)));
growth('its pictures', $crops, function (int $n) use ($read, $setup): Closure {
    $results = [(new SeasonCosting($read[$n]))->setup($setup($n))];

    return fn () => SeasonPictures::forSetups($results, $read[$n]);
});
growth('the list for the shops', $crops, fn (int $n) => fn () => Shopping::fromBooks((new SeasonCosting($read[$n]))->books($setup($n)), []));
growth('Today, nothing written down', $crops, fn (int $n) => fn () => (new Jobs((new SeasonCosting($read[$n]))->books($setup($n)), new LogBook([])))->all());
growth('Trays', $crops, fn (int $n) => fn () => (new Trays((new SeasonCosting($read[$n]))->books($setup($n)), new LogBook([])))->pictures());
growth('the ledger taken apart', $crops, fn (int $n) => fn () => LedgerParts::forSetup(new SeasonCosting($read[$n]), $setup($n)));

$setups = [1, 2, 10, 40];
$ways = [];
foreach ($setups as $size) {
    $season = demo();
    $rows = array_map(fn (int $n): array => ['id' => "way-{$n}", 'name' => "Way {$n}"] + $season['setups'][$n % count($season['setups'])], range(1, $size));
    $ways[$size] = read(['setups' => $rows] + $season);
}
printf("\n%-46s %s %8s\n", 'ms, by set-ups of twelve crops', implode(' ', array_map(fn (int $one): string => sprintf('%9d', $one), $setups)), 'exponent');
growth('all costed', $setups, fn (int $n) => fn () => (new SeasonCosting($ways[$n]))->result());
growth('all compared', $setups, fn (int $n) => fn () => Comparison::forSeason(new SeasonCosting($ways[$n])));
