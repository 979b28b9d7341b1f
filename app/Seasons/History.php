<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\SeasonChange;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Plan\Editing\Change;
use JollyPenny\Core\Season\File\DocumentPath;

/** A season's changes in order; undo and redo work also after a reload and in any window. */
final class History
{
    private const KEPT = 300;

    /** Old steps are looked for at every so many changes: each look reads them all. */
    private const TRIMMED = 8;

    /** And after one of more than so many bytes. */
    private const LARGE = 100_000;

    /** Text of all steps of a season; the newest is kept whatever its size. */
    private const MOST_BYTES = 2_000_000;

    /**
     * @param  list<Change>  $changes
     * @return string what undo would now take back
     */
    public function remember(Season $season, array $changes, string $label): string
    {
        $label = mb_substr($label === '' ? 'a change' : $label, 0, 200);
        $step = $season->changes()->create([
            'label' => $label,
            'changes' => array_map(fn (Change $change): array => $change->toArray(), $changes),
        ]);
        // What was undone can be done again no more.
        $season->changes()->where('undone', true)->delete();
        if ($season->revision % self::TRIMMED === 0 || strlen((string) $step->getRawOriginal('changes')) > self::LARGE) {
            $this->trim($season);
        }

        return $label;
    }

    /** Steps too many, or too large together, go, the oldest first. */
    private function trim(Season $season): void
    {
        DB::delete(
            'DELETE FROM season_changes WHERE season_id = ? AND id <= (SELECT max(id) FROM (SELECT id, row_number() OVER newest AS place,'.
                ' sum(octet_length(changes::text)) OVER newest AS bytes FROM season_changes WHERE season_id = ? AND NOT undone'.
                ' WINDOW newest AS (ORDER BY id DESC)) AS steps WHERE place > ? OR (place > 1 AND bytes > ?))',
            [$season->id, $season->id, self::KEPT, self::MOST_BYTES],
        );
    }

    public function toUndo(Season $season): ?SeasonChange
    {
        /** @var ?SeasonChange */
        return $season->changes()->where('undone', false)->orderByDesc('id')->first();
    }

    public function toRedo(Season $season): ?SeasonChange
    {
        /** @var ?SeasonChange */
        return $season->changes()->where('undone', true)->orderBy('id')->first();
    }

    /** @return list<Change> */
    public static function changesOf(SeasonChange $step): array
    {
        $changes = [];
        foreach ($step->changes as $row) {
            $changes[] = new Change(new DocumentPath($row->path), $row->from, $row->to, $row->at ?? null);
        }

        return $changes;
    }

    /** @return array{undo: ?string, redo: ?string} what either would take back or do again */
    public function words(Season $season): array
    {
        return ['undo' => $this->toUndo($season)?->label, 'redo' => $this->toRedo($season)?->label];
    }
}
