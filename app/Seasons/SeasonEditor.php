<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\SeasonReader;
use stdClass;

/** Changes values of a season and keeps them, all or none, in one transaction; takes them back and does them again. */
final class SeasonEditor
{
    public function __construct(private readonly SeasonAssembler $assembler, private readonly SeasonStore $store, private readonly History $history)
    {
    }

    /**
     * @param  non-empty-list<Change>  $changes
     * @param  string  $label  what the person did, for undo
     *
     * @throws InvalidSeason where a value cannot be used
     * @throws RevisionConflict where a value was changed elsewhere since
     */
    public function apply(int $season, array $changes, string $label): KeptSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($changes, $label): KeptSeason {
            self::refuseConflicts($model, $document, $changes);

            return $this->keep($model, $document, $changes, fn (array $made) => $this->history->remember($model, $made, $label));
        });
    }

    /**
     * What a closure makes of the document, as changes.
     *
     * @param  callable(stdClass): list<array{path: list<string|int>, to: mixed}>  $edit  given a copy of the document
     */
    public function edit(int $season, string $label, callable $edit): KeptSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($label, $edit): KeptSeason {
            $copy = unserialize(serialize($document));
            $changes = [];
            foreach ($edit($copy) as ['path' => $keys, 'to' => $to]) {
                $keys === [] ?: $changes[] = new Change(new DocumentPath($keys), null, $to);
            }

            return $this->keep($model, $document, $changes, fn (array $made) => $made === [] ?: $this->history->remember($model, $made, $label));
        });
    }

    public function undo(int $season): KeptSeason
    {
        return $this->step($season, true);
    }

    public function redo(int $season): KeptSeason
    {
        return $this->step($season, false);
    }

    private function step(int $season, bool $back): KeptSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($back): KeptSeason {
            $step = $back ? $this->history->toUndo($model) : $this->history->toRedo($model);
            $changes = $step === null ? [] : History::changesOf($step);
            if ($back) {
                $changes = array_map(fn (Change $change): Change => $change->inverse(), array_reverse($changes));
            }
            $step?->update(['undone' => $back]);

            return $this->keep($model, $document, $changes, fn () => null);
        });
    }

    /**
     * @param  list<Change>  $changes
     * @param  callable(list<Change>): mixed  $remember
     */
    private function keep(Season $model, stdClass $document, array $changes, callable $remember): KeptSeason
    {
        $made = [];
        foreach ($changes as $change) {
            foreach ([...Cascade::before($document, $change), $change] as $one) {
                $made[] = $real = new Change($one->path, $one->path->get($document), $one->to, $one->at ?? $one->path->rowIndex($document));
                $real->path->set($document, $real->to, $real->at);
            }
        }
        $changed = [];
        foreach ($made as $change) {
            [$list, $id] = $change->path->touches();
            $changed[$list][] = (string) $id;
        }
        $file = (new SeasonReader)->readChanged($document, $changed);
        if ($made !== []) {
            $this->store->save($model, $document, array_map(fn (Change $change): DocumentPath => $change->path, $made));
            $remember($made);
        }

        return new KeptSeason($model, $document, $file);
    }

    /** @param  callable(Season, stdClass): KeptSeason  $work */
    private function locked(int $season, callable $work): KeptSeason
    {
        return DB::transaction(function () use ($season, $work): KeptSeason {
            /** @var Season $model */
            $model = Season::query()->whereKey($season)->lockForUpdate()->firstOrFail();

            return $work($model, $this->assembler->document($model));
        });
    }

    /** @param  non-empty-list<Change>  $changes */
    private static function refuseConflicts(Season $model, stdClass $document, array $changes): void
    {
        $conflicts = [];
        foreach ($changes as $change) {
            $now = $change->path->get($document);
            if (! self::same($now, $change->from) && ! self::same($now, $change->to)) {
                $conflicts[] = ['path' => $change->path->keys, 'was' => $change->from, 'theirs' => $now, 'yours' => $change->to];
            }
        }
        if ($conflicts !== []) {
            throw new RevisionConflict($model->revision, $conflicts);
        }
    }

    /** Equal as a person sees it: 16 is 16.0, the order of an object's keys does not matter. */
    private static function same(mixed $a, mixed $b): bool
    {
        if (is_array($a) && is_array($b)) {
            return count($a) === count($b) && array_is_list($a) === array_is_list($b)
                && ! in_array(false, array_map(self::same(...), array_values($a), array_values($b)), true);
        }
        if ($a instanceof stdClass && $b instanceof stdClass) {
            [$left, $right] = [get_object_vars($a), get_object_vars($b)];
            ksort($left);
            ksort($right);

            return array_keys($left) === array_keys($right) && self::same(array_values($left), array_values($right));
        }

        return is_numeric($a) && is_numeric($b) && ! is_string($a) && ! is_string($b) ? (float) $a === (float) $b : $a === $b;
    }
}
