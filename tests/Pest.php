<?php

declare(strict_types=1);

use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use Tests\Browser\BrowserTestCase;
use Tests\FeatureTestCase;

pest()->extend(FeatureTestCase::class)->in('Feature');
pest()->extend(BrowserTestCase::class)->in('Browser');

/** A figure to a relative tolerance; small ones to an absolute one. */
expect()->extend('toBeNear', function (float $expected, float $tolerance = 1e-9) {
    expect(abs($this->value - $expected))->toBeLessThanOrEqual(
        $tolerance * max(1.0, abs($expected)),
        "{$this->value} is not near {$expected}",
    );

    return $this;
});

/** The core's cost per finished seedling of the first crop in the first set-up, for the season this visitor has, as it is shown. */
function coreSays(BrowserTestCase $test): string
{
    $id = $test->api('/api/seasons')['seasons'][0]['id'];
    $document = json_decode((string) json_encode($test->api("/api/seasons/{$id}")['season'], JSON_PRESERVE_ZERO_FRACTION));
    foreach ($document->setups as $setup) {
        $setup->overrides = (object) (array) $setup->overrides;
    }
    $cost = (new SeasonCosting((new SeasonReader())->readDocument($document)))->result()['setups'][0]->crops[0]->per_finished;

    return $cost < 0.9995 ? number_format($cost * 100, 1).'¢' : '$'.number_format($cost, 2);
}

/** @return array{int, string, string} exit code, output and errors of bin/jolly */
function jolly(string $arguments, string $input = ''): array
{
    $process = proc_open(
        PHP_BINARY.' '.escapeshellarg(__DIR__.'/../bin/jolly').' '.$arguments,
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
    );
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    [$out, $err] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

    return [proc_close($process), $out, $err];
}
