<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A small picture of a row or a tray.
 *
 * @property int $season_id
 * @property string $token
 * @property Carbon $day
 * @property ?string $crop
 * @property ?string $tray
 * @property string $note
 * @property int $width
 * @property int $height
 */
final class Photo extends Model
{
    /** Of one season. */
    public const MOST = 300;

    public const UPDATED_AT = null;

    /** What is told of a picture without fetching it. */
    public const LINE = ['season_id', 'token', 'day', 'crop', 'tray', 'note', 'width', 'height'];

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['day' => 'immutable_date', 'width' => 'integer', 'height' => 'integer'];

    /** @return list<array<string, mixed>> */
    public static function lines(int $season): array
    {
        $lines = [];
        /** @var self $photo */
        foreach (self::query()->where('season_id', $season)->orderBy('day')->orderBy('id')->get(self::LINE) as $photo) {
            $lines[] = ['id' => $photo->token, 'on' => $photo->day->format('Y-m-d'), ...$photo->only(['crop', 'tray', 'note', 'width', 'height'])];
        }

        return $lines;
    }
}
