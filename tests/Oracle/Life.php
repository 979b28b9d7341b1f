<?php

declare(strict_types=1);

namespace Tests\Oracle;

/**
 * A plain second account of docs/after.md, the law of plants, over entries as arrays. It shares no class with the core and is slow on
 * purpose: every question walks the whole log again.
 */
final readonly class Life
{
    /** @param  list<array<string, mixed>>  $entries  of one crop, in any order, some of them twice */
    public function __construct(private array $entries, private bool $oneByOne, private ?string $lastStageFrom)
    {
    }

    /** @return list<array<string, mixed>> entries that stand, in their places */
    public function standing(): array
    {
        $once = [];
        foreach ($this->entries as $entry) {
            $once[$entry['id']] ??= $entry;
        }
        // Each place: the entry that has it first, and all that were ever written to stand in it.
        $places = [];
        foreach ($once as $entry) {
            if ($entry['kind'] !== 'undo') {
                $root = $entry;
                while (isset($root['corrects'], $once[$root['corrects']])) {
                    $root = $once[$root['corrects']];
                }
                $places[$root['id']][] = $entry;
            }
        }
        $standing = [];
        foreach ($places as $id => $candidates) {
            $root = $once[$id];
            $left = array_filter($candidates, fn (array $one): bool => $this->takenBackBy($one, $once) === null);
            usort($left, fn (array $a, array $b): int => strcmp($this->moment($a), $this->moment($b)));
            $last = end($left);
            $back = $this->takenBackBy($root, $once);
            if ($last !== false && ($back === null || $back < $this->moment($last))) {
                $standing[] = ['place' => "{$root['on']} {$root['at']} {$root['id']}", 'entry' => $last];
            }
        }
        usort($standing, fn (array $a, array $b): int => strcmp($a['place'], $b['place']));

        return array_column($standing, 'entry');
    }

    /**
     * When an entry was written: its own clock, but never before what it corrects or takes back.
     *
     * @param  array<string, mixed>  $entry
     */
    private function moment(array $entry): string
    {
        $before = array_values(array_filter($this->entries, fn (array $one): bool => $one['id'] === ($entry['corrects'] ?? null)))[0] ?? null;
        if ($before === null) {
            return "{$entry['at']} 0 {$entry['at']} {$entry['id']}";
        }
        [$at, $depth] = explode(' ', $this->moment($before));

        return max($at, $entry['at']).' '.($depth + 1)." {$entry['at']} {$entry['id']}";
    }

    /**
     * @param  array<string, mixed>  $entry
     * @param  array<string, array<string, mixed>>  $all
     * @return ?string the moment of the last undo of it that was not taken back itself
     */
    private function takenBackBy(array $entry, array $all): ?string
    {
        $moments = [];
        foreach ($all as $one) {
            if ($one['kind'] === 'undo' && ($one['corrects'] ?? null) === $entry['id'] && $this->takenBackBy($one, $all) === null) {
                $moments[] = $this->moment($one);
            }
        }

        return $moments === [] ? null : max($moments);
    }

    /** @return array{sown: int, seeds: int, up: ?int, there: ?int, rows: array<string, int>, bought: int, gone: array<string, int>, finished: int, marked: list<string>} */
    public function state(): array
    {
        $sown = $seeds = $bought = $finished = 0;
        $up = $rows = null;
        $gone = ['planted' => 0, 'given' => 0, 'sold' => 0, 'composted' => 0, 'lost' => 0];
        $marked = [];
        $sources = [];
        $job = null;
        foreach ($this->standing() as $entry) {
            [$kind, $row, $n] = [$entry['kind'], $entry['tray'] ?? '', $entry['count'] ?? null];
            $isMove = in_array($kind, ['pricked_out', 'potted_on', 'hardened'], true);
            if (! $isMove) {
                $job = null;
            }
            if ($kind === 'sown') {
                $sown += $n ?? 0;
                $seeds += $entry['seeds'] ?? 0;
            }
            if ($n === null || $kind === 'sown') {
                continue;
            }
            $out = array_sum($gone);
            $free = $sown + $bought - $out;
            if ($kind === 'bought') {
                $bought += $n;
                $rows === null ?: $rows[$row] = ($rows[$row] ?? 0) + $n;
            } elseif ($kind === 'up' || $kind === 'thinned') {
                $elsewhere = 0;
                foreach ($rows ?? [] as $other => $there) {
                    $elsewhere += $row !== '' && (string) $other !== $row && (string) $other !== '' ? $there : 0;
                }
                if ($this->oneByOne && $sown > 0 && $n > $free - $elsewhere) {
                    $marked[] = $entry['id'];
                    $n = max(0, $free - $elsewhere);
                }
                if ($row === '') {
                    $rows = ['' => $n];
                } else {
                    $rest = ($rows[''] ?? 0) - $n;
                    unset($rows['']);
                    $rows[$row] = $n;
                    if ($rest > 0) {
                        $rows[''] = $rest;
                    }
                }
                $up = max($up ?? 0, array_sum($rows) + $out - $bought);
            } elseif ($isMove) {
                $mine = $entry['job'] ?? $kind;
                if ($rows === null) {
                    if ($this->oneByOne && $sown > 0 && $n > max(0, $free)) {
                        $marked[] = $entry['id'];
                        $n = max(0, $free);
                    }
                    $rows = [$row => $n];
                    [$job, $sources] = [$mine, []];
                    $up = max($up ?? 0, array_sum($rows) + $out - $bought);
                } else {
                    if ($job !== $mine) {
                        [$job, $sources] = [$mine, array_keys($rows)];
                    }
                    if ($sources === []) {
                        $unseen = max(0, $free - array_sum($rows));
                        if ($this->oneByOne && $sown > 0 && $n > $unseen) {
                            $marked[] = $entry['id'];
                            $n = $unseen;
                        }
                        $rows[$row] = ($rows[$row] ?? 0) + $n;
                        $up = max($up ?? 0, array_sum($rows) + $out - $bought);
                    } else {
                        $can = 0;
                        foreach ($sources as $source) {
                            $can += $rows[$source] ?? 0;
                        }
                        if ($n > $can) {
                            $marked[] = $entry['id'];
                            $n = $can;
                        }
                        if ($row !== '') {
                            $todo = $n;
                            foreach ($sources as $source) {
                                $some = min($todo, $rows[$source] ?? 0);
                                $todo -= $some;
                                $rows[$source] = ($rows[$source] ?? 0) - $some;
                                if ($rows[$source] === 0) {
                                    unset($rows[$source]);
                                }
                            }
                            $rows[$row] = ($rows[$row] ?? 0) + $n;
                        }
                    }
                }
            } elseif (isset($gone[$kind])) {
                $all = $rows === null ? ($sown > 0 ? max(0, $free) : $n) : array_sum($rows);
                $here = $row !== '' && isset($rows[$row]) ? $rows[$row] : $all;
                if ($n > $here) {
                    $marked[] = $entry['id'];
                    $n = $here;
                }
                $gone[$kind] += $n;
                if ($kind === 'planted' || (in_array($kind, ['given', 'sold'], true) && ($this->lastStageFrom === null || $entry['on'] >= $this->lastStageFrom))) {
                    $finished += $n;
                }
                if ($rows !== null) {
                    if ($row !== '' && isset($rows[$row])) {
                        $rows[$row] -= $n;
                    } elseif (count($rows) === 1) {
                        $rows = [array_key_first($rows) => $all - $n];
                    } else {
                        $rows = ['' => $all - $n];
                    }
                }
            }
        }
        $rows = array_filter($rows ?? [], fn (int $there): bool => $there > 0) + ($rows === null ? [] : []);
        ksort($rows);

        return ['sown' => $sown, 'seeds' => $seeds, 'up' => $up, 'there' => $up === null && $rows === [] ? null : array_sum($rows), 'rows' => $rows,
            'bought' => $bought, 'gone' => $gone, 'finished' => $finished, 'marked' => $marked];
    }
}
