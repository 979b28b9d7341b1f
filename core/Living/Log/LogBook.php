<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Log;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/**
 * What the log says once corrections are made: an entry that is corrected stands no longer, the one that corrects it stands in its
 * place, on its day; of several that correct one the last written stands alone; what is taken back is gone, unless that was taken back again.
 * In the order of the days, then as it was written down, so that two hands who write at once come to the same whichever is
 * heard first.
 */
final readonly class LogBook
{
    /** The job of an entry by which its owner says that the season is over. */
    public const OVER = 'season-over';

    /** Added to days and small numbers, they all have nine digits and sort as text. */
    private const SAME_WIDTH = 500_000_000;

    /** @var list<LogEntry> what stands, in its order */
    public array $entries;

    /** @var array<array-key, list<LogEntry>> the same by crop */
    public array $byCrop;

    /** @var array<array-key, LogEntry> the last that stands, by job */
    public array $byJob;

    /** @var array<array-key, list<LogEntry>> all that stand, by job */
    public array $allByJob;

    /** @var array<array-key, PlantLedger> by crop */
    private array $ledgers;

    /** @var array<string, string> what cannot be, by the entry that says it */
    public array $marked;

    /**
     * @param  list<LogEntry>  $all  as written, in any order
     * @param  array<array-key, array{bool, ?int}>  $crops  whether a crop is raised one by one, and from which day on it is finished
     * @param  ?list<LogEntry>  $standing  what stands of them in its order, where that is known already
     */
    public function __construct(public array $all, private array $crops = [], ?array $standing = null)
    {
        $entries = $standing ?? self::standing($all);
        $byCrop = $byJob = $allByJob = [];
        foreach ($entries as $entry) {
            if ($entry->crop !== null) {
                $byCrop[$entry->crop][] = $entry;
            }
            if ($entry->job !== null) {
                $byJob[$entry->job] = $entry;
                $allByJob[$entry->job][] = $entry;
            }
        }
        [$this->entries, $this->byCrop, $this->byJob, $this->allByJob] = [$entries, $byCrop, $byJob, $allByJob];
        $ledgers = $marked = [];
        foreach ($byCrop as $crop => $some) {
            $ledgers[$crop] = $this->emptyLedger((string) $crop);
            foreach ($some as $entry) {
                $why = $ledgers[$crop]->apply($entry);
                $why === null ?: $marked[$entry->id] = $why;
            }
        }
        [$this->ledgers, $this->marked] = [$ledgers, $marked];
    }

    /** The same log, read with what a set-up says of its crops: which are counted one by one, and from when on they are grown. */
    public function inSetup(SetupBooks $books): self
    {
        $crops = [];
        foreach ($books->plans as $plan) {
            $last = $plan->stages[count($plan->stages) - 1];
            $sown = $this->crop($plan->crop->id)->sown_on;
            $late = $sown === null ? 0 : Day::parse($sown)->number - $plan->sowOn();
            $crops[$plan->crop->id] = [$plan->method->pattern === Pattern::PerSite, count($plan->stages) < 2 ? null : $last->start + $late];
        }

        return $this->with($crops);
    }

    /** The same log, read with what the whole season says: a crop is counted one by one where every way of raising it does. */
    public function inSeason(Season $season): self
    {
        $patterns = array_column($season->methods, 'pattern', 'id');
        $crops = [];
        foreach ($season->crops as $crop) {
            $ways = array_filter(array_map(fn (Setup $setup): ?Pattern => $patterns[$setup->methodFor($crop->id)] ?? null, $season->setups));
            $crops[$crop->id] = [$ways !== [] && ! in_array(Pattern::Community, $ways, true), null];
        }

        return $this->with($crops);
    }

    /** @param  array<array-key, array{bool, ?int}>  $crops */
    private function with(array $crops): self
    {
        return $crops === $this->crops ? $this : new self($this->all, $crops, $this->entries);
    }

    public function isOver(): bool
    {
        return isset($this->byJob[self::OVER]);
    }

    /** How many plants left by an entry: no more than there were, whatever it says. */
    public function leftBy(LogEntry $entry): int
    {
        return $this->ledgers[$entry->crop ?? '']->leftBy[$entry->id] ?? 0;
    }

    private function emptyLedger(string $crop): PlantLedger
    {
        return new PlantLedger(...($this->crops[$crop] ?? [false, null]));
    }

    /**
     * The facts of a crop, of all its trays or of some.
     *
     * @param  list<string>  $trays  letters; empty for all
     */
    public function crop(string $crop, array $trays = []): RowFacts
    {
        $ledger = $this->ledgers[$crop] ?? $this->emptyLedger($crop);

        return $trays === [] ? RowFacts::fromLedger($ledger, $this->isOver()) : RowFacts::inTrays($ledger, $trays);
    }

    /** The day of the first entry; null where nothing is written down yet. */
    public function firstDay(): ?int
    {
        return isset($this->entries[0]) ? $this->entries[0]->on->number : null;
    }

    /** @return list<LogEntry> all of it, what was corrected or taken back too */
    public function inOrder(): array
    {
        $all = $this->all;
        $places = array_map(self::place(...), $all);
        array_multisort($places, SORT_STRING, $all);

        return $all;
    }

    /**
     * @param  list<LogEntry>  $all
     * @return list<LogEntry>
     */
    private static function standing(array $all): array
    {
        $byId = array_column($all, null, 'id');
        $written = array_map(fn (LogEntry $entry): string => self::written($entry, $byId), $byId);
        asort($written, SORT_STRING);
        $all = array_map(fn (int|string $id): LogEntry => $byId[$id], array_keys($written));
        $undone = self::undone($all, $byId);
        $last = [];
        foreach ($all as $entry) {
            if ($entry->kind === LogKind::Undo) {
                continue;
            }
            if (! isset($undone[$entry->id])) {
                // Written last, it stands alone in the place of all before it.
                $last[self::original($entry, $byId)->id] = $entry;
            }
        }
        $standing = $places = [];
        foreach ($last as $root => $entry) {
            $back = $undone[$root] ?? null;
            // What was taken back after its last correction is gone, whichever of the two was taken back.
            if ($back === null || $written[$back->id] < $written[$entry->id]) {
                $standing[] = $entry;
                $places[] = self::place($byId[$root]);
            }
        }
        array_multisort($places, SORT_STRING, $standing);

        return $standing;
    }

    /**
     * What was taken back, by what takes it back last; an undo that was taken back itself does not count.
     *
     * @param  list<LogEntry>  $all  as written
     * @param  array<array-key, LogEntry>  $byId
     * @return array<array-key, LogEntry>
     */
    private static function undone(array $all, array $byId): array
    {
        $undone = [];
        foreach (array_reverse($all) as $entry) {
            if ($entry->kind === LogKind::Undo && $entry->corrects !== null && isset($byId[$entry->corrects]) && ! isset($undone[$entry->id])) {
                $undone[$entry->corrects] ??= $entry;
            }
        }

        return $undone;
    }

    /** @param  array<array-key, LogEntry>  $byId */
    private static function original(LogEntry $entry, array $byId): LogEntry
    {
        for ($seen = []; $entry->corrects !== null && isset($byId[$entry->corrects]) && ! isset($seen[$entry->id]); $entry = $byId[$entry->corrects]) {
            $seen[$entry->id] = true;
        }

        return $entry;
    }

    /**
     * When an entry was written, as a key to sort by: never before what it corrects or takes back, however a device's clock stood.
     *
     * @param  array<array-key, LogEntry>  $byId
     */
    private static function written(LogEntry $entry, array $byId): string
    {
        [$at, $depth, $one, $seen] = [$entry->at, 0, $entry, []];
        while ($one->corrects !== null && isset($byId[$one->corrects]) && ! isset($seen[$one->id])) {
            $seen[$one->id] = true;
            $one = $byId[$one->corrects];
            $at = max($at, $one->at);
            $depth++;
        }

        return "{$at}\0".(self::SAME_WIDTH + $depth)."\0{$entry->at}\0{$entry->id}";
    }

    /** Where an entry stands among the others, as a key to sort by: by day, then as written. */
    private static function place(LogEntry $entry): string
    {
        return (self::SAME_WIDTH + $entry->on->number)."\0{$entry->at}\0{$entry->id}";
    }
}
