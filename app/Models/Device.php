<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use JollyPenny\Core\Living\Devices\DeviceKind;
use Laravel\Sanctum\HasApiTokens;

/**
 * A plug meter or thermometer at a thing of a season; it has one token, and that may write readings and nothing else.
 *
 * @property int $id
 * @property int $season_id
 * @property string $name
 * @property DeviceKind $kind
 * @property string $list  what kind of thing it is at: lights, mats, appliances or places
 * @property string $thing  its id in the season
 * @property int $kept  readings
 * @property int $refused  readings that were nonsense
 * @property ?Carbon $heard_at
 */
final class Device extends Model
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens;

    /** Of one season. */
    public const MOST = 50;

    public const LISTS = ['lights', 'mats', 'appliances', 'places'];

    protected $guarded = ['id'];

    /** @var array<string, mixed> */
    protected $attributes = ['kept' => 0, 'refused' => 0, 'heard_at' => null];

    /** @var array<string, string> */
    protected $casts = ['kind' => DeviceKind::class, 'kept' => 'integer', 'refused' => 'integer', 'heard_at' => 'datetime'];

    /** Whose it is. */
    public function gardener(): int
    {
        return (int) Season::withTrashed()->whereKey($this->season_id)->value('user_id');
    }
}
