<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Work;
use Illuminate\Support\Facades\DB;

/**
 * Whose turn it is. A garden that has nothing running comes before one that has; of those, the one that has waited longest, with its
 * shortest job first. So nobody waits behind all that somebody else has asked for.
 */
final readonly class Turn
{
    /** One worker takes only what is expected to take less than this, seconds, so that short questions never wait for long ones. */
    public const QUICK = 2.0;

    /** Takes the next job, and marks it as being worked on; null where nothing waits. */
    public static function take(bool $onlyQuick): ?Work
    {
        return DB::transaction(function () use ($onlyQuick): ?Work {
            $next = DB::selectOne("SELECT waiting.id FROM works AS waiting WHERE waiting.state = 'waiting' AND (NOT ? OR waiting.expected < ?)
                ORDER BY EXISTS (SELECT FROM works AS running WHERE running.user_id = waiting.user_id AND running.state = 'working'),
                    GREATEST((SELECT min(first.created_at) FROM works AS first WHERE first.user_id = waiting.user_id AND first.state = 'waiting'),
                        (SELECT max(served.updated_at) FROM works AS served WHERE served.user_id = waiting.user_id AND served.state <> 'waiting')),
                    waiting.expected, waiting.id
                LIMIT 1 FOR UPDATE SKIP LOCKED", [$onlyQuick, self::QUICK]);
            if ($next === null) {
                return null;
            }
            /** @var Work $work */
            $work = Work::query()->findOrFail($next->id);
            $work->fill(['state' => 'working'])->save();

            return $work;
        });
    }
}
