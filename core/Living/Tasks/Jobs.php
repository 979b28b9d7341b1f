<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Living\Trays\RowPicture;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Living\Weather\Due;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\Habits;
use JollyPenny\Core\Plan\Cautions\Caution;
use JollyPenny\Core\Plan\Cautions\CautionsFor;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\Units\Measure;

/**
 * A set-up's season as the jobs of its days, as one person does them: what is wetted, filled and washed once with its total, what is
 * sown row by row, what is looked at day by day until it is up. What the log says is done is done; what was sown on another day moves
 * what follows. The days between are common practice, no source.
 */
final readonly class Jobs
{
    /** So long one is reminded of what was not done. */
    private const CARRIED_DAYS = 21;

    /** After the seed should have been up, one still looks for so long. */
    private const LOOK_DAYS = 7;

    /** So many days before it is due at the earliest one begins to look. */
    private const LOOK_AHEAD = 1;

    /** A grown plant is still worth planting out so much later. */
    private const PLANTING_DAYS = 60;

    /** A quarter inch covered by more than that is said in inches. */
    private const INCH_MM = 25.4;

    /** What can hurt at a sowing, besides what the wetting and washing say: the seed, the plugs, the mat, the cover. */
    private const AT_A_SOWING = [Caution::Electricity, Caution::Fire, Caution::Film];

    private Catalogue $catalogue;

    private Session $session;

    private Tasks $tasks;

    /** @var array<array-key, RowFacts> by crop */
    private array $facts;

    /** @var list<TrayPicture> */
    public array $trays;

    /** @var array<array-key, list<array{TrayPicture, RowPicture}>> by crop */
    private array $rows;

    private LogBook $log;

    private ?WeatherJobs $said;

    /** @param  ?WeatherNow  $weather  what it says of this season; null where nothing is known of it */
    public function __construct(private SetupBooks $books, LogBook $log, private ?WeatherNow $weather = null)
    {
        $this->said = $weather === null ? null : new WeatherJobs($weather, $books->season()->units);
        $this->log = $log = $log->inSetup($books);
        $this->catalogue = new Catalogue;
        $facts = $shift = [];
        foreach ($books->plans as $plan) {
            $known = $log->crop($plan->crop->id);
            $facts[$plan->crop->id] = $known;
            if ($known->sown_on !== null) {
                $shift[$plan->crop->id] = Day::parse($known->sown_on)->number - $plan->sowOn();
            }
        }
        $this->facts = $facts;
        $this->session = new Session($books, $facts);
        $this->tasks = new Tasks($books, $shift, $weather?->movedOut() ?? []);
        $this->trays = (new Trays($books, $log, $this->catalogue))->pictures();
        $rows = [];
        foreach ($this->trays as $tray) {
            foreach ($tray->runs as $run) {
                $rows[$run->crop][] = [$tray, $run];
            }
        }
        $this->rows = $rows;
    }

    /** @return list<Job> by day, then as the work goes */
    public function all(): array
    {
        $shared = $jobs = [];
        foreach ($this->tasks->all() as $task) {
            if ($this->isOver($task)) {
                continue;
            }
            if (self::isShared($task->kind)) {
                $shared["{$task->date} {$task->kind->value}"][] = $task;
            } else {
                array_push($jobs, ...$this->single($task));
            }
        }
        foreach ($shared as $tasks) {
            array_push($jobs, ...$this->session->together($tasks));
            if ($tasks[0]->kind === TaskKind::Soak) {
                array_push($jobs, ...$this->filling($tasks));
            }
        }
        array_push($jobs, ...$this->said?->evenings() ?? [], ...$this->said?->hardening($this->names()) ?? []);
        $habits = Habits::fromMeta($this->books->season()->meta);
        $jobs = array_map(function (Job $job) use ($habits): Job {
            $job = $this->withState($job);

            return $habits->isAway(Day::parse($job->date)->number) ? $job->with(away: true) : $job;
        }, $jobs);
        $group = array_flip(array_column(JobGroup::cases(), 'value'));
        $kind = array_flip(array_column(TaskKind::cases(), 'value'));
        $places = array_map(fn (Job $job): string => sprintf("%s\0%02d\0%02d\0%s\0%s", $job->date, $group[$job->group->value], $kind[$job->kind->value],
            self::order($job->codes), $job->id), $jobs);
        array_multisort($places, SORT_STRING, $jobs);

        return $jobs;
    }

    /** @return array<array-key, string> varieties, by crop */
    private function names(): array
    {
        $names = [];
        foreach ($this->books->plans as $plan) {
            $names[$plan->crop->id] = $plan->lot->variety;
        }

        return $names;
    }

    /** Of a crop of which none is left nothing is asked; what was done of it stays. */
    private function isOver(Task $task): bool
    {
        $facts = $this->facts[$task->crop ?? ''] ?? null;
        if ($facts === null || $facts->alive !== 0 || $facts->gone + $facts->lost === 0) {
            return false;
        }
        $plan = $this->books->plans[$this->books->grown[$task->crop ?? ''] ?? -1] ?? null;

        return ! isset($this->log->byJob[$task->id]) && ! in_array($task->kind, [TaskKind::Sow, TaskKind::FirstLook], true)
            && ($task->kind !== TaskKind::PlantOut || $plan === null || $facts->planted === 0);
    }

    private static function isShared(TaskKind $kind): bool
    {
        return in_array($kind, [TaskKind::Soak, TaskKind::Wash, TaskKind::Drain, TaskKind::CoverOff, TaskKind::MatOff, TaskKind::Feed], true);
    }

    /** @return list<Job> */
    private function single(Task $task): array
    {
        $plan = $this->books->plans[$this->books->grown[$task->crop ?? ''] ?? -1] ?? null;
        if ($plan === null) {
            return [$this->plain($task, JobGroup::Out, self::PLANTING_DAYS, LogKind::Planted, $this->wanted($task->crop))];
        }

        return match ($task->kind) {
            TaskKind::Sow => [$this->sowing($task, $plan)],
            TaskKind::FirstLook => $this->looks($task, $plan),
            TaskKind::Stage => self::isAMove($plan, $task->stage ?? 0) ? [$this->move($task, $plan)] : [],
            TaskKind::PlantOut => [$this->plantingOut($task, $plan)],
            TaskKind::LastResow => [$this->plain($task, JobGroup::Look, 0, LogKind::Done, null, $plan)],
            default => [$this->plain($task, JobGroup::Prepare, self::CARRIED_DAYS, LogKind::Done, null, $plan)],
        };
    }

    /** Nothing is to do where it only stands on, in the same place and light; what goes off or comes off has jobs of its own. */
    private static function isAMove(CropPlan $plan, int $i): bool
    {
        [$before, $stage] = [$plan->stages[$i - 1], $plan->stages[$i]];

        return $stage->fills() || $stage->place->id !== $before->place->id || $stage->stage->light !== $before->stage->light
            || ($before->container === null && $before->stage->name !== $stage->stage->name);
    }

    /**
     * What is filled with the mix of a day, once for each kind of container.
     *
     * @param  list<Task>  $tasks  of wetting, of one day
     * @return list<Job>
     */
    private function filling(array $tasks): array
    {
        $sites = $codes = $names = $crops = [];
        foreach ($tasks as $task) {
            $plan = $this->books->plans[$this->books->grown[$task->crop ?? ''] ?? -1] ?? null;
            $container = $plan?->stages[$task->stage ?? 0]->container;
            if ($plan === null || $container === null || $plan->stages[$task->stage ?? 0]->stage->mix === null) {
                continue;
            }
            $id = $container->id;
            $names[$id] = $container->sitesPerUnit > 1 ? 'cells' : Session::short($container->name);
            $crops[$id][] = $plan->crop->id;
            foreach ($this->rows($plan, $task->stage ?? 0) as [$tray, $run]) {
                $sites[$id] = ($sites[$id] ?? 0) + $run->sites;
                $codes[$id][$tray->id] = $tray->id;
            }
        }
        $jobs = [];
        foreach ($sites as $id => $n) {
            $trays = array_values($codes[$id]);
            $day = $tasks[0]->date;
            $jobs[] = new Job((string) JobId::shared(TaskKind::Fill, $day, (string) $id), $day, $day, JobGroup::Wet, TaskKind::Fill, null, $crops[$id],
                "Fill {$n} ".($names[$id] === 'cells' ? 'cells' : "× {$names[$id]}").': tray'.(count($trays) > 1 ? 's ' : ' ').Session::list($trays));
        }

        return $jobs;
    }

    private function sowing(Task $task, CropPlan $plan): Job
    {
        $rows = $this->rows($plan, 0);
        $community = $plan->method->pattern === Pattern::Community;
        $seedsFor = fn (int $sites): int => $community ? (int) round($plan->sowing->seeds * $sites / max(1, $plan->sowing->sites))
            : $sites * $plan->method->seedsPerSite;
        $parts = array_map(fn (array $one): array => [
            'tray' => $one[0]->id, 'row' => $one[1]->row, 'sites' => $one[1]->sites, 'seeds' => $seedsFor($one[1]->sites),
        ], $rows);
        $sites = $parts === [] ? $plan->sowing->sites : array_sum(array_column($parts, 'sites'));

        return new Job(
            id: $task->id,
            date: $task->date,
            until: Day::ofNumber($plan->plantOutOn())->format(),
            group: JobGroup::Sow,
            kind: $task->kind,
            crop: $plan->crop->id,
            crops: [$plan->crop->id],
            words: "Sow {$plan->lot->variety}: ".$this->sitesAndSeeds($plan, $sites, $seedsFor($sites)),
            detail: $this->howToSow($plan),
            codes: $this->codes($plan, 0),
            tray: $this->onlyTray($plan, 0),
            row: count($parts) === 1 ? $parts[0]['row'] : null,
            kind_of_entry: LogKind::Sown,
            count: $sites,
            of: null,
            seeds: $seedsFor($sites),
            minutes: $sites * $plan->stages[0]->stage->minutesPerSite,
            cautions: $this->sowingCautions($plan),
            parts: $parts,
        );
    }

    /** @return list<Job> a look on each day until it should be up, and a week more, as long as something is still to come */
    private function looks(Task $task, CropPlan $plan): array
    {
        $facts = $this->facts[$plan->crop->id];
        $sown = $facts->sites > 0 ? $facts->sites : $plan->sowing->sites;
        $community = $plan->method->pattern === Pattern::Community;
        $of = $community ? ($facts->seeds > 0 ? $facts->seeds : $plan->sowing->seeds) : $sown;
        $first = Day::parse($task->date)->number;
        $sowOn = $first - $this->tasks->firstLook($plan);
        $full = $sowOn + $plan->stages[0]->days();
        $due = $this->weather->due[$plan->crop->id] ?? null;
        if ($due !== null) {
            // As the weather has it, one looks later, or longer, than planned.
            $full += Day::parse($due->on)->number - Day::parse($due->planned_on)->number;
            $first = max($first, Day::parse($due->from)->number - self::LOOK_AHEAD);
            $full = max($full, $due->is_late ? $this->weather->today ?? 0 : 0);
        }
        $counted = $this->countsByDay($plan->crop->id);
        $jobs = [];
        for ($day = $first, $up = null, $done = false; ! $done && $day <= max($full, $first) + self::LOOK_DAYS; $day++) {
            // Before anything is known of it, the plan's list says the first look and the full one.
            if ($facts->sown_on === null && $day !== $first && $day !== $full) {
                continue;
            }
            $up = $counted[$day] ?? $up;
            // All are up, or the full look was had: what is not up then counts as lost.
            $done = ($up ?? 0) >= $of || ($day >= $full && isset($counted[$day]));
            $name = $plan->lot->variety;
            $jobs[] = new Job(
                id: $day === $first ? $task->id : (string) JobId::look($plan->crop->id, Day::ofNumber($day)->format()),
                date: Day::ofNumber($day)->format(),
                until: Day::ofNumber($day)->format(),
                group: JobGroup::Look,
                kind: $day === $first ? TaskKind::FirstLook : TaskKind::Look,
                crop: $plan->crop->id,
                crops: [$plan->crop->id],
                words: "{$name}: how many of {$of} up?",
                detail: $this->lookDetail($day, $full, $due),
                codes: $this->codes($plan, 0),
                tray: $this->onlyTray($plan, 0),
                row: null,
                kind_of_entry: LogKind::Up,
                count: $up ?? 0,
                of: $of,
                asks_again: $day === $full || $due?->is_late === true,
            );
        }

        return $jobs;
    }

    private function lookDetail(int $day, int $full, ?Due $due): ?string
    {
        $words = [$day === $full ? 'the full look: what is not up now counts as lost' : '', $due === null ? '' : (string) $this->said?->due($due)];

        return implode('; ', array_filter($words)) ?: null;
    }

    private function move(Task $task, CropPlan $plan): Job
    {
        $i = $task->stage ?? 0;
        $stage = $plan->stages[$i];
        $before = $plan->stages[$i - 1];
        $out = $stage->place->outdoors && ! $before->place->outdoors;
        $kind = match (true) {
            $stage->fills() && $plan->method->pattern === Pattern::Community && $this->firstPottingOn($plan) === $i => LogKind::PrickedOut,
            $stage->fills() => LogKind::PottedOn,
            $out => LogKind::Hardened,
            default => LogKind::Done,
        };
        $sign = $before->stage->until === null ? null : "when {$before->stage->until}";
        $hardening = $out ? 'half an hour the first day, then a little more each day; in at night while it freezes' : null;
        $fill = $stage->fills() && $stage->container !== null ? "{$stage->sites} × {$stage->container->name}" : null;
        $detail = implode('; ', array_filter([$fill, $sign, $hardening]));

        return new Job(
            id: $task->id,
            date: $task->date,
            until: Day::parse($task->date)->plus(self::CARRIED_DAYS)->format(),
            group: JobGroup::Move,
            kind: TaskKind::Stage,
            crop: $plan->crop->id,
            crops: [$plan->crop->id],
            words: "{$stage->stage->name}: {$plan->lot->variety}",
            detail: $detail === '' ? null : $detail,
            codes: $this->codes($plan, $stage->fills() ? $i : 0),
            tray: $stage->fills() ? $this->onlyTray($plan, $i) : null,
            row: null,
            kind_of_entry: $kind,
            count: $kind === LogKind::Done ? null : $this->movedOn($plan, $stage->sites * max(1, $stage->stage->plantsPerSite)),
            of: $this->facts[$plan->crop->id]->alive,
            minutes: $stage->fills() ? $stage->sites * $stage->stage->minutesPerSite : 0.0,
        );
    }

    private function plantingOut(Task $task, CropPlan $plan): Job
    {
        $bed = $this->weather->coldBeds[$plan->crop->id] ?? null;

        $moved = $this->weather?->movedOut()[$plan->crop->id] ?? 0;
        $words = [$moved === 0 ? null : "later by {$moved} ".($moved === 1 ? 'day' : 'days').' that were too cold to harden off',
            $bed === null ? null : $this->said?->coldBed($bed)];

        return $this->plain($task, JobGroup::Out, self::PLANTING_DAYS, LogKind::Planted, $this->expected($plan), $plan)
            ->with(detail: implode('; ', array_filter($words)) ?: null);
    }

    private function plain(Task $task, JobGroup $group, int $days, LogKind $kind, ?int $count, ?CropPlan $plan = null): Job
    {
        return new Job($task->id, $task->date, Day::parse($task->date)->plus($days)->format(), $group, $task->kind, $task->crop,
            array_filter([$task->crop]), $task->words, codes: $plan === null ? null : $this->codes($plan,
                $task->kind === TaskKind::LastResow ? 0 : null), kind_of_entry: $kind, count: $count,
            of: $kind === LogKind::Planted && $plan !== null ? $this->facts[$plan->crop->id]->alive : null);
    }

    /** The job as the log has it: done, put off, or open. */
    private function withState(Job $job): Job
    {
        $entry = $this->log->byJob[$job->id] ?? $this->saysAsMuch($job);
        if ($entry === null) {
            return $job->kind !== TaskKind::Sow && $this->isMoot($job) ? $job->with(until: $job->date) : $job;
        }
        if ($entry->kind === LogKind::PutOff && $entry->until !== null) {
            $late = max(0, $entry->until->number - Day::parse($job->date)->number);

            return $job->with(date: $entry->until->format(), until: Day::parse($job->until)->plus($late)->format());
        }

        // What is sown in several trays is one job.
        $counted = $job->kind === TaskKind::Sow ? $this->facts[$job->crop ?? '']->sites : $entry->count;

        return $job->with(done_on: $entry->on->format(), entries: $this->entriesOf($job, $entry), counted: $counted);
    }

    /** @return list<string> all that was written down when the job was done, in one tray or several */
    private function entriesOf(Job $job, LogEntry $last): array
    {
        $same = array_filter($this->log->allByJob[$job->id] ?? [], fn (LogEntry $entry): bool => $entry->kind === $last->kind);

        return array_column($same, 'id') ?: [$last->id];
    }

    /** An entry that was made elsewhere, of the same thing. */
    private function saysAsMuch(Job $job): ?LogEntry
    {
        $day = Day::parse($job->date)->number;
        foreach ($job->crop === null ? [] : $this->log->byCrop[$job->crop] ?? [] as $entry) {
            if (match ($job->kind) {
                TaskKind::Sow => $entry->kind === LogKind::Sown,
                TaskKind::FirstLook, TaskKind::Look => $entry->kind === LogKind::Up && $entry->on->number === $day,
                TaskKind::PlantOut, TaskKind::Buy => $entry->kind === LogKind::Planted,
                default => false,
            }) {
                return $entry;
            }
        }

        return null;
    }

    /** What prepares a sowing needs no reminder once that is sown, nor what was due before anything was written down. */
    private function isMoot(Job $job): bool
    {
        $first = $this->log->firstDay();
        if ($first === null || Day::parse($job->date)->number < $first) {
            return true;
        }
        $sown = array_filter($job->crops, fn (string $crop): bool => ($this->facts[$crop] ?? null)?->sown_on !== null);

        return in_array($job->kind, [TaskKind::Wash, TaskKind::Soak, TaskKind::Fill, TaskKind::Chill], true) && count($sown) === count($job->crops);
    }

    /** @return array<int, int> what was counted up, by day number */
    private function countsByDay(string $crop): array
    {
        $byTray = $counts = [];
        foreach ($this->log->byCrop[$crop] ?? [] as $entry) {
            if ($entry->kind === LogKind::Up) {
                $byTray = $entry->tray === null ? ['' => $entry->count ?? 0] : [...$byTray, $entry->tray => $entry->count ?? 0];
                $counts[$entry->on->number] = array_sum($byTray);
            }
        }

        return $counts;
    }

    /** @return list<array{TrayPicture, RowPicture}> */
    private function rows(CropPlan $plan, ?int $stage): array
    {
        $rows = $this->rows[$plan->crop->id] ?? [];

        return $stage === null ? $rows : array_values(array_filter($rows, fn (array $one): bool => $one[1]->stage === $stage));
    }

    private function codes(CropPlan $plan, ?int $stage): ?string
    {
        $rows = $this->rows($plan, $stage ?? $this->lastFilled($plan));

        return $rows === [] ? null : implode(', ', array_map(fn (array $one): string => $one[1]->code, $rows));
    }

    private function onlyTray(CropPlan $plan, int $stage): ?string
    {
        $trays = array_values(array_unique(array_map(fn (array $one): string => $one[0]->id, $this->rows($plan, $stage))));

        return count($trays) === 1 ? $trays[0] : null;
    }

    private function lastFilled(CropPlan $plan): int
    {
        return max(array_keys(array_filter($plan->stages, fn ($stage): bool => $stage->fills())) ?: [0]);
    }

    private function firstPottingOn(CropPlan $plan): ?int
    {
        foreach ($plan->stages as $i => $stage) {
            if ($i > 0 && $stage->fills()) {
                return $i;
            }
        }

        return null;
    }

    /** As many as are there, up to what the plan moves on. */
    private function movedOn(CropPlan $plan, int $planned): int
    {
        return min($planned, $this->facts[$plan->crop->id]->alive ?? $planned);
    }

    private function expected(CropPlan $plan): int
    {
        return $this->facts[$plan->crop->id]->alive ?? (int) round($plan->sowing->finish->mean);
    }

    private function wanted(?string $crop): ?int
    {
        return array_column($this->books->season()->crops, 'wanted', 'id')[$crop ?? ''] ?? null;
    }

    private function sitesAndSeeds(CropPlan $plan, int $sites, int $seeds): string
    {
        $container = $plan->stages[0]->container;
        $site = match (true) {
            $container === null => $sites === 1 ? 'place in the bed' : 'places in the bed',
            $container->sitesPerUnit > 1 => $sites === 1 ? 'cell' : 'cells',
            default => $sites === 1 ? 'pot' : 'pots',
        };
        $each = $plan->method->pattern === Pattern::Community ? "{$seeds} seeds"
            : ($plan->method->seedsPerSite === 1 ? 'one seed each' : "{$plan->method->seedsPerSite} seeds each");

        return "{$sites} {$site}, {$each}";
    }

    private function howToSow(CropPlan $plan): ?string
    {
        $species = $this->books->index->species[$plan->lot->species];
        $depth = $this->catalogue->recognise(SeasonDraft::kinIn($species->meta), $species->name)->sowingDepthMm ?? 0.0;
        $top = $plan->stages[0]->stage->topDressing;
        $parts = [
            $depth > 0.0 ? $this->depth($depth).' deep' : '',
            $top === null ? '' : 'covered with '.mb_strtolower(Session::short($this->books->index->supplies[$top->supply]->name)),
            $plan->viability->age > 0 ? "seed of {$plan->lot->packedFor}" : '',
            $plan->lot->packetPrice <= 0.0 ? 'own seed' : '',
        ];

        return implode('; ', array_filter($parts)) ?: null;
    }

    private function depth(float $mm): string
    {
        if (! $this->session->isUs()) {
            return Measure::Millimetre->fromCore($mm / 1000).' mm';
        }
        $sixteenths = max(1, (int) round($mm / self::INCH_MM * 16));
        [$up, $down] = [$sixteenths, 16];
        while ($up % 2 === 0 && $down > 1) {
            [$up, $down] = [intdiv($up, 2), intdiv($down, 2)];
        }

        return ($down === 1 ? (string) $up : ($up > $down ? intdiv($up, $down).' '.$up % $down."/{$down}" : "{$up}/{$down}")).' in';
    }

    /** @return list<string> */
    private function sowingCautions(CropPlan $plan): array
    {
        $cautions = new CautionsFor($this->books->season(), $this->catalogue);
        $all = $cautions->stage($this->books->setup, $plan->stages[0]->stage);
        $work = array_filter($all, fn (Caution $one): bool => in_array($one, self::AT_A_SOWING, true));

        return array_column([...$cautions->seed($plan->crop), ...$work], 'value');
    }

    private static function order(?string $codes): string
    {
        return $codes === null ? '~' : (string) preg_replace_callback('/\d+/', fn (array $m): string => str_pad($m[0], 4, '0', STR_PAD_LEFT), $codes);
    }
}
