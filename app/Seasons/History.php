<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\SeasonChange;
use stdClass;

/** A season's changes in order; undo and redo work also after a reload and in any window. */
final class History
{
    private const KEPT = 300;

    /** @param  list<Change>  $changes */
    public function remember(Season $season, array $changes, string $label): void
    {
        $season->changes()->where('undone', true)->delete();
        $season->changes()->create(['label' => mb_substr($label === '' ? 'a change' : $label, 0, 200), 'changes' => json_encode(
            array_map(fn (Change $change): array => $change->toArray(), $changes), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)]);
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
        /** @var list<stdClass> $rows */
        $rows = json_decode($step->changes, false, 64, JSON_THROW_ON_ERROR);
        foreach ($rows as $row) {
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
