<?php

declare(strict_types=1);

namespace JollyPenny\Core\Log;

use JollyPenny\Core\Season\LogEntry;
use JollyPenny\Core\Season\LogKind;

/**
 * What the log says once corrections are made: an entry that is corrected stands no longer, the one that corrects it stands in its
 * place; what is taken back is gone, unless that was taken back again. In the order of the days, then as it was written down, so that
 * two hands who write at once come to the same whichever is heard first.
 */
final readonly class LogBook
{
    /** @var list<LogEntry> what stands, in its order */
    public array $entries;

    /** @var array<array-key, list<LogEntry>> the same by crop */
    public array $byCrop;

    /** @var array<array-key, LogEntry> the last that stands, by job */
    public array $byJob;

    /** @param  list<LogEntry>  $all  as written, in any order */
    public function __construct(public array $all)
    {
        $entries = self::standing($all);
        $byCrop = $byJob = [];
        foreach ($entries as $entry) {
            if ($entry->crop !== null) {
                $byCrop[$entry->crop][] = $entry;
            }
            if ($entry->job !== null) {
                $byJob[$entry->job] = $entry;
            }
        }
        [$this->entries, $this->byCrop, $this->byJob] = [$entries, $byCrop, $byJob];
    }

    /**
     * The facts of a crop, of all its trays or of some.
     *
     * @param  list<string>  $trays  letters; empty for all
     */
    public function crop(string $crop, array $trays = []): RowFacts
    {
        $entries = $this->byCrop[$crop] ?? [];

        return RowFacts::of($trays === [] ? $entries : array_values(array_filter(
            $entries,
            fn (LogEntry $entry): bool => in_array($entry->tray, $trays, true),
        )));
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
        usort($all, self::before(...));

        return $all;
    }

    /**
     * @param  list<LogEntry>  $all
     * @return list<LogEntry>
     */
    private static function standing(array $all): array
    {
        usort($all, self::before(...));
        $byId = array_column($all, null, 'id');
        // Written later, so it has the last word on what it corrects, and that is settled first.
        $corrected = [];
        for ($i = count($all) - 1; $i >= 0; $i--) {
            $entry = $all[$i];
            if ($entry->corrects !== null && isset($byId[$entry->corrects]) && ! isset($corrected[$entry->id])) {
                $corrected[$entry->corrects] ??= $entry;
            }
        }

        return array_values(array_filter($all, fn (LogEntry $entry): bool => $entry->kind !== LogKind::Undo && ! isset($corrected[$entry->id])));
    }

    private static function before(LogEntry $a, LogEntry $b): int
    {
        return [$a->on->number, $a->at, $a->id] <=> [$b->on->number, $b->at, $b->id];
    }
}
