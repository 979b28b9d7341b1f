<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Garden;
use Illuminate\Console\Command;

/** Clears trial gardens nobody came back to, and seasons deleted long ago. */
final class ClearGardens extends Command
{
    protected $signature = 'jolly:clear';

    protected $description = 'Clear trial gardens unused for 30 days and seasons deleted 30 days ago';

    public function handle(Garden $garden): int
    {
        [$gardens, $seasons] = $garden->clear();
        $this->info("Cleared {$gardens} gardens and {$seasons} deleted seasons.");

        return self::SUCCESS;
    }
}
