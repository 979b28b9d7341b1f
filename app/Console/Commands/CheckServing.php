<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Season;
use Illuminate\Console\Command;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;

/** Whether this code could serve: its tables, its built front end, and a season reckoned. Before anything is switched to it. */
final class CheckServing extends Command
{
    protected $signature = 'jolly:check';

    protected $description = 'Look whether this code can serve';

    public function handle(): int
    {
        $season = Season::query()->orderByDesc('id')->first();
        if ($season !== null) {
            (new SeasonCosting((new SeasonReader)->trusted($season->document)))->result();
        }
        if (! is_file(public_path('build/manifest.json'))) {
            $this->error('The front end is not built.');

            return self::FAILURE;
        }
        view('app')->render();
        $this->info('It answers.');

        return self::SUCCESS;
    }
}
