<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Throwable;

/** Whether the parts work, and figures for the operator in the Prometheus text format. */
final readonly class Health
{
    /** @return array<string, bool> by part */
    public static function parts(): array
    {
        try {
            return ['database' => DB::selectOne('SELECT 1 AS up')->up === 1];
        } catch (Throwable) {
            return ['database' => false];
        }
    }

    public static function metrics(): string
    {
        $row = DB::selectOne("SELECT (SELECT count(*) FROM users WHERE trial) AS trials, (SELECT count(*) FROM users WHERE NOT trial) AS accounts,
            (SELECT count(*) FROM seasons WHERE deleted_at IS NULL) AS seasons, (SELECT coalesce(sum(octet_length(document::text)), 0) FROM seasons) AS bytes,
            (SELECT count(*) FROM failed_jobs) AS failed,
            (SELECT count(*) FROM works WHERE state = 'working') AS working, pg_database_size(current_database()) AS size,
            (SELECT count(*) FROM pg_stat_activity WHERE datname = current_database()) AS connections");
        $lines = '';
        foreach (
            [
                'jolly_trial_gardens' => ['Gardens without an account', $row->trials],
                'jolly_accounts' => ['Gardens kept with an e-mail', $row->accounts],
                'jolly_seasons' => ['Seasons that are not deleted', $row->seasons],
                'jolly_documents_bytes' => ['Text of all seasons', $row->bytes],
                'jolly_jobs_waiting' => ['Jobs in the queue', Queue::size('default') + Queue::size('work')],
                'jolly_jobs_failed' => ['Jobs that failed for good', $row->failed],
                'jolly_work_running' => ['Long reckonings under way', $row->working],
                'jolly_database_bytes' => ['Size of the database', $row->size],
                'jolly_database_connections' => ['Connections to the database', $row->connections],
                'jolly_disk_free_bytes' => ['Free space where files are kept', (int) disk_free_space(storage_path())],
            ] as $name => [$help, $value]
        ) {
            $lines .= "# HELP {$name} {$help}\n# TYPE {$name} gauge\n{$name} {$value}\n";
        }

        return $lines;
    }
}
