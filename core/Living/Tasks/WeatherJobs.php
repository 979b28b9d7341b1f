<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Living\Weather\Due;
use JollyPenny\Core\Living\Weather\Night;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Measure;
use JollyPenny\Core\Season\UnitSystem;

/** What the weather asks of the gardener, in words: evenings on which plants come in, seed that is due, beds that are too cold. */
final readonly class WeatherJobs
{
    /** Colder or warmer than the forecast by less is not worth a word, °C. */
    private const WORTH_SAYING_C = 0.5;

    /** Hours are said for so many days ahead. */
    private const SAID_AHEAD = 2;

    public function __construct(private WeatherNow $weather, private UnitSystem $units)
    {
    }

    /** @return list<Job> one for each evening with something to bring in or to cover */
    public function evenings(): array
    {
        $jobs = [];
        foreach ($this->weather->nights as $night) {
            if (! $night->is_cold) {
                continue;
            }
            $deeds = array_filter([$this->deed('bring in', $night->bring_in), $this->deed('cover', $night->cover)]);
            $jobs[] = new Job(
                id: (string) JobId::shared(TaskKind::BringIn, $night->on),
                date: $night->on,
                until: $night->on,
                group: JobGroup::Evening,
                kind: TaskKind::BringIn,
                crop: null,
                crops: array_column([...$night->bring_in, ...$night->cover], 'crop'),
                words: "{$this->degrees($night->low_c)} by dawn: ".implode('; ', $deeds),
                detail: $this->why($night),
                minutes: $night->minutes,
            );
        }

        return $jobs;
    }

    /**
     * @param  array<array-key, string>  $names  by crop
     * @return list<Job> one for each day of hardening off that is known, with the hours of each crop
     */
    public function hardening(array $names): array
    {
        $days = [];
        foreach ($this->weather->hardening as $crop => $plan) {
            foreach ($plan->days as $day) {
                if (Day::parse($day->on)->number <= $this->weather->today + self::SAID_AHEAD) {
                    $days[$day->on][(string) ($day->hours ?? '')][] = [$crop, $day];
                }
            }
        }
        $jobs = [];
        foreach ($days as $on => $byHours) {
            $words = $crops = [];
            $shade = false;
            foreach ($byHours as $hours => $some) {
                $who = implode(', ', array_map(fn (array $one): string => $names[$one[0]] ?? '', $some));
                $words[] = $hours === '' ? "too cold to go out: {$who}" : "out for {$hours} ".($hours === 1 ? 'hour' : 'hours').": {$who}";
                $shade = $shade || $some[0][1]->shade;
                array_push($crops, ...array_map(fn (array $one): string => (string) $one[0], $some));
            }
            $jobs[] = new Job(
                id: (string) JobId::shared(TaskKind::Harden, $on),
                date: $on,
                until: $on,
                group: JobGroup::Move,
                kind: TaskKind::Harden,
                crop: null,
                crops: $crops,
                words: 'Harden off: '.implode('; ', $words),
                detail: $shade ? 'out of the wind, and in shade on the first three days' : 'out of the wind',
            );
        }

        return $jobs;
    }

    /** A temperature, in the season's units. */
    public function degrees(float $celsius): string
    {
        $number = (string) (int) round($this->isUs() ? Measure::Fahrenheit->fromCore($celsius) : $celsius);

        return str_replace('-', '−', $number).($this->isUs() ? ' °F' : ' °C');
    }

    /** When seed is due, as "due Apr 21 to 23". */
    public function due(Due $due): string
    {
        if ($due->is_late) {
            return 'late by more than a third: dig one up and look at it, or sow again';
        }
        if ($due->until === null) {
            return "due from {$this->day($due->from)}, and not at all where it stays colder than thought";
        }
        $sameMonth = substr($due->from, 0, 7) === substr($due->until, 0, 7);

        return 'due '.match (true) {
            $due->from === $due->until => $this->day($due->on),
            $sameMonth && $this->isUs() => "{$this->day($due->from)} to ".(int) substr($due->until, 8),
            $sameMonth => (int) substr($due->from, 8)." to {$this->day($due->until)}",
            default => "{$this->day($due->from)} to {$this->day($due->until)}",
        };
    }

    /** @param  array{have: float, want: float}  $bed */
    public function coldBed(array $bed): string
    {
        return "the bed has about {$this->degrees($bed['have'])} and it wants {$this->degrees($bed['want'])}: wait, or warm it under film";
    }

    private function day(string $date): string
    {
        return gmdate($this->isUs() ? 'M j' : 'j M', 86400 * Day::parse($date)->number);
    }

    private function isUs(): bool
    {
        return $this->units === UnitSystem::Us;
    }

    private function why(Night $night): string
    {
        $colder = $night->forecast_c - $night->low_c;
        $first = [...$night->bring_in, ...$night->cover][0];
        $said = "The forecast is {$this->degrees($night->forecast_c)}";
        if (abs($colder) >= self::WORTH_SAYING_C) {
            $by = (int) round(abs($colder) * ($this->isUs() ? 1.8 : 1.0));
            $said .= ", and your garden is mostly {$by} ".($this->isUs() ? '°F' : '°C').($colder > 0 ? ' colder' : ' warmer');
        }
        $limit = "{$first['name']} stays out down to {$this->degrees($first['limit_c'])}";
        $fails = $night->cover_may_fail ? ' A cover keeps off 2 to 3 °C'.($this->isUs() ? ' (4 to 5 °F)' : '').': it may not be enough.' : '';

        return "{$said}. {$limit}.{$fails}";
    }

    /** @param  list<array{name: string, count: int}>  $plants */
    private function deed(string $verb, array $plants): ?string
    {
        $names = array_map(fn (array $one): string => "{$one['count']} {$one['name']}", $plants);
        $last = array_pop($names);

        // All of them, however many: what is not named stays out.
        return $last === null ? null : "{$verb} ".($names === [] ? $last : implode(', ', $names)." and {$last}");
    }
}
