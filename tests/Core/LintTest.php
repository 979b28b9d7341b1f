<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPStan\Rules\Rule;
use PHPStan\Testing\RuleTestCase;
use Tests\Lint\NoSeasonArithmetic;

/** @extends RuleTestCase<NoSeasonArithmetic> */
final class LintTest extends RuleTestCase
{
    public function test_it_finds_sums_of_values_that_are_the_cores(): void
    {
        $why = 'Arithmetic on a value of the season or of a result belongs in the core.';
        $this->analyse([__DIR__.'/../fixtures/lint/sums.php'], [[$why, 15], [$why, 16], [$why, 17]]);
    }

    protected function getRule(): Rule
    {
        return new NoSeasonArithmetic();
    }
}
