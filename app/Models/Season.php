<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A season; its parts hang on it by season_id. Columns are the season file's keys, nested ones joined by "_".
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property int $revision  grows by one with every change
 */
final class Season extends Model
{
    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['revision' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
