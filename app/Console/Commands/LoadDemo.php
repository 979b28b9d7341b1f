<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Season;
use App\Models\User;
use App\Seasons\DemoSeason;
use Illuminate\Console\Command;

/** Loads the demo seasons into an empty database, and so proves that it works before anybody opens a page. */
final class LoadDemo extends Command
{
    protected $signature = 'jolly:demo';

    protected $description = 'Load the demo seasons where the database has none';

    public function handle(): int
    {
        if (Season::query()->exists()) {
            $this->info('There are seasons already.');

            return self::SUCCESS;
        }
        DemoSeason::giveTo(User::query()->create(['trial' => true]));
        $this->info('The demo season is loaded.');

        return self::SUCCESS;
    }
}
