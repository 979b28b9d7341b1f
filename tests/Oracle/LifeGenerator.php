<?php

declare(strict_types=1);

namespace Tests\Oracle;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes the log of one crop as lives go: late, in other numbers, corrected, taken back, sent twice, out of order. */
final class LifeGenerator
{
    private const DAYS = 60;

    private Randomizer $random;

    private int $n = 0;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{entries: list<array<string, mixed>>, oneByOne: bool, lastStageFrom: ?string} */
    public function life(): array
    {
        $trays = $this->pick([[null], ['A'], ['A', 'B'], ['A', 'B', 'C']]);
        $entries = [];
        foreach ($this->chance(0.9) ? $trays : [] as $tray) {
            $entries[] = $this->entry(0, 'sown', $this->random->getInt(0, 20), $tray, ['seeds' => $this->random->getInt(0, 60)]);
        }
        $steps = $this->random->getInt(0, 14);
        for ($i = 0; $i < $steps; $i++) {
            $entries[] = $this->step($i, $trays, $entries);
        }
        foreach ($entries as $entry) {
            // Sent twice, as a lost answer makes one do.
            $this->chance(0.1) && $entries[] = $entry;
        }

        return ['entries' => $this->random->shuffleArray($entries), 'oneByOne' => $this->chance(0.5),
            'lastStageFrom' => $this->chance(0.5) ? $this->day($this->random->getInt(0, self::DAYS)) : null];
    }

    /**
     * @param  list<?string>  $trays
     * @param  list<array<string, mixed>>  $before
     * @return array<string, mixed>
     */
    private function step(int $i, array $trays, array $before): array
    {
        $day = min(self::DAYS, 5 * $i + $this->random->getInt(0, 9));
        if ($before !== [] && $this->chance(0.2)) {
            $what = $this->pick($before);
            $kind = $this->chance(0.5) ? 'undo' : ($what['kind'] === 'undo' ? 'undo' : $what['kind']);

            return $this->entry($day, $kind, $kind === 'undo' ? null : $this->random->getInt(0, 20), $what['tray'] ?? null, ['corrects' => $what['id']]);
        }
        $kind = $this->pick(['up', 'up', 'up', 'thinned', 'pricked_out', 'potted_on', 'hardened', 'planted', 'given', 'sold', 'composted', 'lost', 'lost',
            'bought', 'sown', 'done', 'note']);
        $tray = $this->pick([...$trays, null, 'D', 'E']);
        $more = in_array($kind, ['pricked_out', 'potted_on'], true) && $this->chance(0.7) ? ['job' => $this->pick(['crop-stage-1', 'crop-stage-2'])] : [];

        return $this->entry($day, $kind, $this->chance(0.9) ? $this->random->getInt(0, 25) : null, $tray, $more);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function entry(int $day, string $kind, ?int $count, ?string $tray, array $more = []): array
    {
        $id = sprintf('life-%06d', ++$this->n);
        $at = sprintf('2027-%02d-%02dT%02d:%02d:00.%06dZ', $this->random->getInt(3, 6), $this->random->getInt(1, 28), $this->random->getInt(0, 23),
            $this->random->getInt(0, 59), $this->n);
        // What corrects something is mostly written after it; a device's clock may stand wrong.
        isset($more['corrects']) && $this->chance(0.8) && $at = sprintf('2027-07-01T00:00:00.%06dZ', $this->n);

        return array_filter(['id' => $id, 'on' => $this->day($day), 'at' => $at, 'kind' => $kind, 'crop' => 'crop', 'tray' => $tray, 'count' => $count] + $more,
            fn (mixed $value): bool => $value !== null);
    }

    private function day(int $n): string
    {
        return gmdate('Y-m-d', gmmktime(0, 0, 0, 3, 1 + $n, 2027) ?: 0);
    }

    private function chance(float $p): bool
    {
        return $this->random->getInt(0, 999) < 1000 * $p;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
