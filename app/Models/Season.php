<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use stdClass;

/**
 * A season: its document, the one truth about it, at its present revision. What lists show of it the database reads off the
 * document by itself.
 *
 * @property int $id
 * @property int $user_id
 * @property stdClass $document  the season file, every key in it
 * @property int $revision  grows by one with every change
 * @property bool $demo  made up, to look around in
 * @property-read string $name
 * @property-read int $year
 * @property-read string $last_frost
 * @property-read int $crops
 * @property-read int $plants
 * @property-read int $setups
 * @property ?int $weather_place_id  whose weather it has; the garden's oldest without
 * @property ?Carbon $archived_at
 * @property ?Carbon $updated_at
 */
final class Season extends Model
{
    use SoftDeletes;

    /** What a line of a list shows: everything but the document. */
    public const LINE = ['id', 'name', 'revision', 'year', 'last_frost', 'crops', 'plants', 'setups', 'updated_at', 'archived_at'];

    protected $fillable = ['document', 'archived_at'];

    /** @var array<string, mixed> */
    protected $attributes = ['revision' => 1];

    /** @var array<string, string> */
    protected $casts = [
        'document' => AsDocument::class,
        'revision' => 'integer',
        'demo' => 'boolean',
        'year' => 'integer',
        'crops' => 'integer',
        'plants' => 'integer',
        'setups' => 'integer',
        'weather_place_id' => 'integer',
        'archived_at' => 'datetime',
    ];

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
