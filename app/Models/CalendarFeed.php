<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A private address at which a calendar program reads a set-up's tasks, until it is revoked.
 *
 * @property int $season_id
 * @property string $setup
 * @property string $token
 */
final class CalendarFeed extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = ['id'];
}
