<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A season that was rolled on into the next, with what that moved in the shed.
 *
 * @property int $id
 * @property int $user_id
 * @property int $season_id
 * @property int $made_id
 * @property ?list<array<string, mixed>> $moves  each thing's amount before and after; null of a roll older than the column
 */
final class Roll extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['moves' => 'array'];
}
