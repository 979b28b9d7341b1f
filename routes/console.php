<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('jolly:clear')->dailyAt('03:20')->onOneServer();
Schedule::command('auth:clear-resets')->dailyAt('03:40')->onOneServer();
