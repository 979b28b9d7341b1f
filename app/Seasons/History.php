<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\SeasonChange;
use JollyPenny\Core\Editing\Change;
use JollyPenny\Core\Editing\DocumentPath;

/** A season's changes in order; undo and redo work also after a reload and in any window. */
final class History
{
    private const KEPT = 300;

    /** @param  list<Change>  $changes */
    public function remember(Season $season, array $changes, string $label): void
    {
        $season->changes()->where('undone', true)->delete();
        $season->changes()->create(['label' => mb_substr($label === '' ? 'a change' : $label, 0, 200),
            'changes' => array_map(fn (Change $change): array => $change->toArray(), $changes)]);
        $oldest = $season->changes()->orderByDesc('id')->skip(self::KEPT)->value('id');
        $oldest === null ?: $season->changes()->where('id', '<=', $oldest)->delete();
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
