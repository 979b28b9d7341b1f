<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Facades\DB;
use PDOException;

/** The database that follows the primary. */
final readonly class Standby
{
    public const NAME = 'standby';

    /**
     * Seconds since it last heard of the primary, and since what it applied last where it has not yet applied all that it heard. Needs the
     * role pg_read_all_stats: without it, and where it hears nothing, nothing is known. One that was made the primary is as it is.
     */
    private const AGE = 'SELECT CASE WHEN NOT pg_is_in_recovery() THEN 0 ELSE
        extract(epoch FROM clock_timestamp() - (SELECT max(last_msg_receipt_time) FROM pg_stat_wal_receiver))
        + CASE WHEN pg_last_wal_receive_lsn() IS DISTINCT FROM pg_last_wal_replay_lsn()
            THEN extract(epoch FROM clock_timestamp() - pg_last_xact_replay_timestamp()) ELSE 0 END END AS age';

    public static function isReadNow(): bool
    {
        return DB::getDefaultConnection() === self::NAME;
    }

    /** @param  float  $most  seconds behind */
    public static function isFresh(float $most): bool
    {
        if (! is_string(config('database.connections.'.self::NAME.'.host'))) {
            return false;
        }
        try {
            $age = DB::connection(self::NAME)->selectOne(self::AGE)->age;
        } catch (PDOException) {
            return false;
        }

        return $age !== null && (float) $age <= $most;
    }
}
