<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Books\DurableUse;
use JollyPenny\Core\Plan\Books\Labour;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;

/**
 * What is only known once a season is over, and is written down as readings: the hours that it took, and how many of the pots and trays
 * that last broke.
 */
final readonly class EndOfSeason
{
    /** The job that a reading of the hours is written down to; of what broke, list and id of the thing stand behind. */
    public const HOURS = 'season-hours';

    public const BROKEN = 'broken';

    /** The plan's life of a thing is worth so many seasons of one. Common practice, no source. */
    private const SEASONS = 10.0;

    private const SHORTEST = 1.0;

    /**
     * How much hours remembered weigh against the plan's minutes: by the inverse of their variances, a person's word within 15 %, a
     * guess within 40 %.
     */
    private const WORD = 0.15;

    private const GUESS = 0.4;

    public function __construct(private SetupBooks $books, private LogBook $log)
    {
    }

    /** @return list<Belief> */
    public function beliefs(): array
    {
        return [...$this->minutes(), ...$this->lives()];
    }

    /** @return list<EndQuestion> what may be asked: the hours, then what is in use and lasts */
    public function questions(): array
    {
        $ask = fn (string $job, string $unit, string $name, float $of): EndQuestion => new EndQuestion($job, $unit, $name, $of,
            $this->said($job), $this->reading($job)?->id);
        $questions = [$ask(self::HOURS, 'h', 'Hours of work, all told', $this->hours())];
        foreach ($this->durable() as $key => [$name, $use]) {
            $questions[] = $ask(self::BROKEN." {$key}", 'broken', $name, (float) $use->unitsNeeded);
        }

        return $questions;
    }

    /** How many times the plan's hours it took, as told; 1 where nothing is. */
    public function hoursFactor(): float
    {
        [$said, $planned] = [$this->said(self::HOURS), $this->hours()];

        return $said === null || $said <= 0.0 || $planned <= 0.0 ? 1.0 : $said / $planned;
    }

    /** @return list<Belief> */
    private function minutes(): array
    {
        $planned = $this->hours();
        $said = $this->said(self::HOURS);
        if ($said === null || $said <= 0.0 || $planned <= 0.0) {
            return [];
        }
        $weight = self::WORD ** -2 / (self::WORD ** -2 + self::GUESS ** -2);
        $believed = $weight * $said + (1.0 - $weight) * $planned;

        return [new Belief(
            key: 'minutes',
            id: 'minutes',
            name: 'Hours of work',
            planned: $planned,
            counted: $said,
            believed: $believed,
            planned_range: null,
            believed_range: null,
            weight: 1.0 - $weight,
            of: 0,
            similar: 0.0,
            edits: $this->scaled($believed / $planned),
        )];
    }

    private function hours(): float
    {
        $hours = 0.0;
        foreach ($this->books->plans as $i => $plan) {
            $hours += Labour::hours($plan, $this->books->supplies->uses[$i]);
        }

        return $hours;
    }

    /** @return list<array{path: non-empty-list<string|int>, to: float}> all minutes of what is used, so much longer */
    private function scaled(float $factor): array
    {
        $season = $this->books->season();
        $edits = [];
        $add = function (array $path, float $minutes) use (&$edits, $factor): void {
            /** @var non-empty-list<string|int> $path */
            $minutes <= 0.0 ?: $edits[] = ['path' => $path, 'to' => round($minutes * $factor, 4)];
        };
        $used = [];
        foreach ($this->books->plans as $plan) {
            $used[$plan->method->id] = $plan->method;
        }
        foreach ($used as $method) {
            foreach ($method->stages as $i => $stage) {
                $add(['methods', $method->id, 'stages', $i, 'minutes_per_site'], $stage->minutesPerSite);
                $add(['methods', $method->id, 'stages', $i, 'minutes_per_flat_day'], $stage->minutesPerFlatDay);
            }
        }
        foreach ($season->mixes as $mix) {
            $add(['mixes', $mix->id, 'minutes_per_l'], $mix->minutesPerL);
        }
        foreach ($season->containers as $container) {
            $add(['containers', $container->id, 'prep_minutes_per_unit'], $container->prepMinutesPerUnit);
        }

        return $edits;
    }

    /**
     * A thing breaks at a rate per season that is known as well as its plan's life says (a gamma prior), and is known better by what broke
     * of those in use (the Poisson rate's conjugate, as any textbook of Bayesian statistics has it).
     *
     * @return list<Belief>
     */
    private function lives(): array
    {
        $beliefs = [];
        foreach ($this->durable() as $key => [$name, $use, $life]) {
            $broken = $this->said(self::BROKEN." {$key}");
            if ($broken === null || $use->unitsNeeded === 0) {
                continue;
            }
            $broken = max(0.0, min($broken, (float) $use->unitsNeeded));
            $believed = max(self::SHORTEST, (self::SEASONS + $use->unitsNeeded) / (self::SEASONS / $life + $broken));
            [$list, $id] = explode(' ', $key, 2);
            $beliefs[] = new Belief(
                key: 'life',
                id: $key,
                name: $name,
                planned: $life,
                counted: $broken > 0.0 ? $use->unitsNeeded / $broken : null,
                believed: $believed,
                planned_range: null,
                believed_range: null,
                weight: self::SEASONS,
                of: $use->unitsNeeded,
                similar: 0.0,
                edits: [['path' => [$list, $id, 'life_seasons'], 'to' => round($believed, 2)]],
            );
        }

        return $beliefs;
    }

    /** @return array<string, array{string, DurableUse, float}> name, use and life in seasons, by list and id */
    private function durable(): array
    {
        $things = [];
        foreach ($this->books->containers->durable as $id => $use) {
            $container = $this->books->index->containers[$id];
            $things["containers {$id}"] = [$container->name, $use, $container->lifeSeasons];
        }
        foreach ($this->books->containers->trayware as $id => $use) {
            $tray = $this->books->index->trayware[$id];
            $things["trayware {$id}"] = [$tray->name, $use, $tray->lifeSeasons];
        }

        return $things;
    }

    private function said(string $job): ?float
    {
        return $this->reading($job)?->amount;
    }

    /** The last that stands; null where there is none. */
    private function reading(string $job): ?LogEntry
    {
        $entry = $this->log->byJob[$job] ?? null;

        return $entry?->kind === LogKind::Reading ? $entry : null;
    }
}
