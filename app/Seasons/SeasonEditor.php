<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Health\Timing;
use App\Models\Season;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Plan\Editing\Change;
use JollyPenny\Core\Plan\Editing\GoesAlong;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\SameValue;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use stdClass;
use Throwable;

/** Changes values of a season and keeps them, all or none, in one transaction; takes them back and does them again. */
final class SeasonEditor
{
    public function __construct(private readonly History $history)
    {
    }

    /**
     * @param  non-empty-list<Change>  $changes
     * @param  string  $label  what the person did, for undo
     * @param  ?string  $shown  the set-up on screen
     *
     * @throws InvalidSeason where a value cannot be used
     * @throws RevisionConflict where a value was changed elsewhere since
     */
    public function apply(int $season, array $changes, string $label, ?string $shown = null): EditedSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($changes, $label, $shown): EditedSeason {
            self::refuseConflicts($model, $document, $changes);
            foreach ($changes as $change) {
                $change->path->check($change->to);
            }

            return $this->keep($model, $document, $changes, $label, $shown);
        });
    }

    /**
     * What a closure makes of the document, as changes.
     *
     * @param  callable(stdClass): list<array{path: list<string|int>, to: mixed}>  $edit  given a copy of the document
     */
    public function edit(int $season, string $label, callable $edit): EditedSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($label, $edit): EditedSeason {
            $changes = [];
            foreach ($edit($model->document) as ['path' => $keys, 'to' => $to]) {
                $keys === [] ?: $changes[] = new Change(new DocumentPath($keys), null, $to);
            }

            return $this->keep($model, $document, $changes, $label);
        });
    }

    public function undo(int $season): EditedSeason
    {
        return $this->step($season, true);
    }

    public function redo(int $season): EditedSeason
    {
        return $this->step($season, false);
    }

    private function step(int $season, bool $back): EditedSeason
    {
        return $this->locked($season, function (Season $model, stdClass $document) use ($back): EditedSeason {
            $step = $back ? $this->history->toUndo($model) : $this->history->toRedo($model);
            $changes = $step === null ? [] : History::changesOf($step);
            if ($back) {
                $changes = array_map(fn (Change $change): Change => $change->inverse(), array_reverse($changes));
            }
            $step?->update(['undone' => $back]);

            return $this->keep($model, $document, $changes, null);
        });
    }

    /**
     * @param  list<Change>  $changes
     * @param  ?string  $label  null for a step of the history itself
     */
    private function keep(Season $model, stdClass $document, array $changes, ?string $label, ?string $shown = null): EditedSeason
    {
        $made = $touched = [];
        foreach ($changes as $change) {
            foreach ($label === null ? [$change] : GoesAlong::with($document, $change) as $one) {
                [$list, $id] = $one->path->touches();
                if ($one->to instanceof stdClass && count($one->path->keys) === 2) {
                    SeasonSchema::get()->completeRow($list, $one->to);
                }
                $real = Change::in($document, $one->path, $one->to, $one->at);
                if (! $real->isNothing()) {
                    $real->path->set($document, $real->to, $real->at);
                    $made[] = $real;
                    $touched[$list][] = $id;
                }
            }
        }
        Timing::part('change');
        $file = (new SeasonReader)->readChanged($document, $touched);
        Timing::part('check');
        $kept = new KeptSeason($model, $document, $file);
        [$undoes, $revision, $before] = [null, $model->revision, (string) $model->getRawOriginal('document')];
        if ($made !== []) {
            self::refuseWhatCannotBeReckoned($kept, $shown);
            Timing::part('reckon');
            self::save($model, $document);
            $undoes = $label === null ? null : $this->history->remember($model, $made, $label);
            Timing::part('write');
        }

        $changed = array_values(array_unique(array_map(fn (Change $one): string => (string) $one->path->keys[0], $made)));

        return new EditedSeason($kept, $revision, $before, $changed, $undoes);
    }

    /**
     * @param  callable(Season, stdClass): EditedSeason  $work  given the season and a copy of its document to change
     */
    private function locked(int $season, callable $work): EditedSeason
    {
        Timing::part('garden');

        return DB::transaction(function () use ($season, $work): EditedSeason {
            /** @var Season $model */
            $model = Season::query()->whereKey($season)->lockForUpdate()->firstOrFail();

            Timing::part('lock');

            return $work($model, $model->document);
        });
    }

    /** As it is, without looking for what of it has changed: that would unpack the document twice more. */
    private static function save(Season $model, stdClass $document): void
    {
        $model->document = $document;
        $model->revision++;
        $model->updated_at = Carbon::now();
        Season::query()->whereKey($model->id)->update(array_intersect_key($model->getAttributes(), array_flip(['document', 'revision', 'updated_at'])));
        $model->syncOriginal();
    }

    /** What passes the checks and still breaks the sums must not be kept: every page of the season would fail from then on. */
    private static function refuseWhatCannotBeReckoned(KeptSeason $kept, ?string $shown): void
    {
        try {
            // The one on screen is costed for the answer in any case.
            $setup = array_column($kept->file->setups, null, 'id')[$shown ?? ''] ?? $kept->file->setups[0] ?? null;
            $setup === null || $kept->costing->setup($setup);
        } catch (Throwable $e) {
            report($e);
            throw InvalidSeason::because([], 'With this the season cannot be reckoned.', 'Nothing was changed. Try another value.');
        }
    }

    /** @param  non-empty-list<Change>  $changes */
    private static function refuseConflicts(Season $model, stdClass $document, array $changes): void
    {
        $conflicts = [];
        foreach ($changes as $change) {
            $now = $change->path->get($document);
            if (! SameValue::is($now, $change->from) && ! SameValue::is($now, $change->to)) {
                $conflicts[] = ['path' => $change->path->keys, 'was' => $change->from, 'theirs' => $now, 'yours' => $change->to,
                    'gone' => ! $change->path->hasPlace($document)];
            }
        }
        if ($conflicts !== []) {
            throw new RevisionConflict($model->revision, $conflicts);
        }
    }
}
