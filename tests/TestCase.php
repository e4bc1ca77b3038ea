<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;

abstract class TestCase extends LaravelTestCase
{
    /** Mockery is not installed. */
    public $mockConsoleOutput = false;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        if (getenv('TEST_TOKEN') !== false) {
            // Processes beside each other, each with a database of its own.
            config(['database.connections.pgsql.database' => 'aqbel_'.getenv('TEST_TOKEN')]);
        }

        return $app;
    }
}
