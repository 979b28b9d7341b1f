<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * The application against a real PostgreSQL; each test's changes are rolled back. Whatever a request asks the database is looked at:
 * nothing of a garden without saying whose.
 */
abstract class FeatureTestCase extends TestCase
{
    use DatabaseTransactions;

    private bool $asked = false;

    /** Each process of a parallel run has an instance with a database of its own (bin/test makes them). */
    public function createApplication()
    {
        $process = (int) getenv('TEST_TOKEN');
        putenv('JOLLY_INSTANCE=feature'.($process > 1 ? $process : ''));

        return parent::createApplication();
    }

    protected function setUp(): void
    {
        parent::setUp();
        // Symfony keeps them for the whole process, and with them what a test before has set.
        Request::setTrustedHosts([]);
        DB::listen(function (QueryExecuted $query): void {
            $this->asked && GardenQueries::check($query->sql);
        });
    }

    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        // What an operator asks is of all gardens.
        $this->asked = ! str_ends_with((string) $uri, '/metrics');
        try {
            return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        } finally {
            $this->asked = false;
        }
    }
}
