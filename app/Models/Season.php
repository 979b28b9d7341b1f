<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A season; its parts hang on it by season_id. Columns are the season file's keys, nested ones joined by "_".
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property int $revision  grows by one with every change
 * @property ?string $document  JSON of the season's file at `document_revision`
 * @property ?int $document_revision
 * @property ?Carbon $archived_at
 * @property ?Carbon $updated_at
 */
final class Season extends Model
{
    use SoftDeletes;

    protected $guarded = ['id'];

    protected $hidden = ['document', 'document_revision'];

    /** @var array<string, string> */
    protected $casts = ['revision' => 'integer', 'document_revision' => 'integer', 'archived_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<SeasonChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(SeasonChange::class);
    }
}
