<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsDocument;
use App\Work\WorkKind;
use Illuminate\Database\Eloquent\Model;

/**
 * Something being worked out for a season beside the answers at once; its result holds for the revision it was made of.
 *
 * @property int $id
 * @property int $user_id
 * @property int $season_id
 * @property int $revision
 * @property WorkKind $kind
 * @property string $setup  id
 * @property string $amount  money, of a limit
 * @property string $state  waiting, working, done, failed or stopped
 * @property int $done
 * @property int $total  0 where nobody knows
 * @property mixed $result
 */
final class Work extends Model
{
    /** Seconds; what takes longest without telling how far it is takes under one minute. */
    private const SILENT = 120;

    public const ACTIVE = ['waiting', 'working'];

    protected $guarded = ['id'];

    /** @var array<string, mixed> */
    protected $attributes = ['state' => 'waiting', 'done' => 0, 'total' => 0, 'result' => null, 'amount' => '0'];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => WorkKind::class,
        'result' => AsDocument::class,
        'done' => 'integer',
        'total' => 'integer',
        'revision' => 'integer',
    ];

    /** What has said nothing for so long has lost its worker: it ended without a word. */
    public static function giveUpOnTheLost(int $user): void
    {
        self::query()->where('user_id', $user)->where('state', 'working')->where('updated_at', '<', now()->subSeconds(self::SILENT))
            ->update(['state' => 'failed']);
    }
}
