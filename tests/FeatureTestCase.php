<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;

/** The application against a real PostgreSQL; each test's changes are rolled back. */
abstract class FeatureTestCase extends TestCase
{
    use DatabaseTransactions;
}
