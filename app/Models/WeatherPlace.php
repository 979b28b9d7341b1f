<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\HasApiTokens;

/**
 * Where a garden's weather is measured: its own thermometer, or a station near by. It has one token, and that may write weather and nothing else.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property bool $demo  made up: no season but the one it came with has it unasked
 * @property ?Carbon $heard_at
 */
final class WeatherPlace extends Model
{
    /** @use HasApiTokens<\Laravel\Sanctum\PersonalAccessToken> */
    use HasApiTokens;

    /** Of one garden. */
    public const MOST = 5;

    protected $guarded = ['id'];

    /** @var array<string, mixed> */
    protected $attributes = ['heard_at' => null, 'demo' => false];

    /** @var array<string, string> */
    protected $casts = ['heard_at' => 'datetime', 'demo' => 'boolean'];

    /** The place whose weather a season has: the one that was chosen for it, else the garden's oldest that is real. */
    public static function ofSeason(Season $season): ?self
    {
        /** @var ?self */
        return self::query()->where('user_id', $season->user_id)
            ->where(fn ($place) => $place->where('demo', false)->orWhere('id', $season->weather_place_id ?? 0))
            ->orderByRaw('id = ? DESC', [$season->weather_place_id ?? 0])->orderBy('id')->first();
    }
}
