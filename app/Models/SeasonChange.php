<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use stdClass;

/**
 * One step of a season's history: what undo takes back and redo does again.
 *
 * @property int $id
 * @property int $season_id
 * @property string $label  in the person's words: "lamp hours"
 * @property list<stdClass> $changes  {path, from, to, at}
 * @property bool $undone
 * @property ?Carbon $created_at
 */
final class SeasonChange extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['label', 'changes', 'undone'];

    /** @var array<string, string> */
    protected $casts = ['changes' => AsDocument::class, 'undone' => 'boolean'];
}
