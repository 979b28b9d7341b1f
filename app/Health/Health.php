<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Throwable;

/** Whether the parts work, and figures for the operator in the Prometheus text format. */
final readonly class Health
{
    /** Less free space than this, and what people write would soon be refused. Bytes. */
    private const LEAST_FREE = 50_000_000;

    /** Whether the database takes writes is tried once in so many seconds, not at every question of a front. */
    private const TRIED_FOR = 5;

    /** @return array<string, bool> by part */
    public static function parts(): array
    {
        return ['database' => self::takesWrites(), 'disk' => (float) disk_free_space(storage_path()) > self::LEAST_FREE];
    }

    /** A database on a full disk still answers what is asked of it: only a write tells. */
    private static function takesWrites(): bool
    {
        try {
            if (Cache::store('apc')->get('takes-writes') === true) {
                return DB::selectOne('SELECT 1 AS up')->up === 1;
            }
            DB::table('cache')->upsert([['key' => 'jolly-penny-up', 'value' => (string) time(), 'expiration' => time() + 60]], ['key']);
            Cache::store('apc')->put('takes-writes', true, self::TRIED_FOR);

            return true;
        } catch (Throwable) {
            return false;
        }
    }

    public static function metrics(): string
    {
        $row = DB::selectOne("SELECT (SELECT count(*) FROM users WHERE trial) AS trials, (SELECT count(*) FROM users WHERE NOT trial) AS accounts,
            (SELECT count(*) FROM seasons WHERE deleted_at IS NULL) AS seasons, (SELECT coalesce(sum(octet_length(document::text)), 0) FROM seasons) AS bytes,
            (SELECT count(*) FROM failed_jobs) AS failed, (SELECT count(*) FROM works WHERE state = 'waiting') AS waiting,
            (SELECT count(*) FROM works WHERE state = 'working') AS working, pg_database_size(current_database()) AS size,
            (SELECT count(*) FROM pg_stat_activity WHERE datname = current_database()) AS connections");
        $lines = '';
        foreach (
            [
                'jolly_trial_gardens' => ['Gardens without an account', $row->trials],
                'jolly_accounts' => ['Gardens kept with an e-mail', $row->accounts],
                'jolly_seasons' => ['Seasons that are not deleted', $row->seasons],
                'jolly_documents_bytes' => ['Text of all seasons', $row->bytes],
                'jolly_jobs_waiting' => ['Letters and long reckonings that wait', Queue::size('default') + $row->waiting],
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
