<?php

declare(strict_types=1);

namespace App\Models\Parts;

use App\Models\Season;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row of a season. Columns are the season file's keys ("key" is the file's id); other rows of the same season are
 * named by their key.
 *
 * @property int $season_id
 * @property int $position  in its list
 */
abstract class Part extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @return BelongsTo<Season, $this> */
    public function season(): BelongsTo
    {
        return $this->belongsTo(Season::class);
    }
}
