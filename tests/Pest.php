<?php

declare(strict_types=1);

use Tests\Browser\BrowserTestCase;
use Tests\FeatureTestCase;

pest()->extend(FeatureTestCase::class)->in('Feature', 'Answers');
pest()->extend(BrowserTestCase::class)->in('Browser');

/** A figure to a relative tolerance; small ones to an absolute one. */
expect()->extend('toBeNear', function (float $expected, float $tolerance = 1e-9) {
    expect(abs($this->value - $expected))->toBeLessThanOrEqual(
        $tolerance * max(1.0, abs($expected)),
        "{$this->value} is not near {$expected}",
    );

    return $this;
});
