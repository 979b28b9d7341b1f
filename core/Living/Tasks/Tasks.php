<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Calendar\Timetable;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Day;

/** What a set-up's season asks of the gardener, day by day. The days between are common practice, no source. */
final readonly class Tasks
{
    /** Brassicas show from the third day, others from the fourth. */
    private const FIRST_LOOK = 4;

    private const FIRST_LOOK_BRASSICA = 3;

    private const BRASSICAS = '/cabbage|kale|broccoli|cauliflower|sprout|collard|kohlrabi|pak choi|turnip|radish/i';

    /** Sown again by then, plants are at most so many days late. */
    private const LATEST_DAYS = 14;

    /** Pots are washed the day before. */
    private const BEFORE = 1;

    private const WEEK = 7;

    /**
     * @param  array<array-key, int>  $shift  days by which a crop was sown later than planned; what follows moves along
     * @param  array<array-key, int>  $out  days by which planting out waits for the weather
     */
    public function __construct(private SetupBooks $books, private array $shift = [], private array $out = [])
    {
    }

    /** @return list<Task> by date, then as the work goes */
    public function all(): array
    {
        $tasks = [];
        foreach ($this->books->plans as $plan) {
            $tasks = [...$tasks, ...$this->raising($plan)];
        }
        foreach ($this->books->bought as $crop) {
            $tasks[] = $this->task(
                $crop,
                Timetable::target($this->books->season(), $crop)->number,
                TaskKind::Buy,
                "Buy {$crop->wanted} and plant them out: ".$this->variety($crop),
            );
        }
        $order = array_flip(array_column(TaskKind::cases(), 'value'));
        usort(
            $tasks,
            fn (Task $a, Task $b): int => [$a->date, $order[$a->kind->value], $a->id] <=> [$b->date, $order[$b->kind->value], $b->id],
        );

        return $tasks;
    }

    /** @return list<Task> */
    private function raising(CropPlan $plan): array
    {
        $crop = $plan->crop;
        $name = $this->variety($crop);
        $sow = $plan->sowOn();
        $first = $plan->stages[0];
        $indoors = $first->container !== null;
        $where = $indoors ? "{$plan->sowing->sites} of {$first->container->name}" : "{$plan->sowing->sites} places in the bed";
        $tasks = [
            $this->task($crop, $sow, TaskKind::Sow, "Sow {$plan->sowing->seeds} seeds of {$name} ({$where}) and label them"),
            $this->task($crop, $sow + $this->firstLook($plan), TaskKind::FirstLook, "First look: is {$name} up?"),
        ];
        $again = $sow + self::LATEST_DAYS - max(0, $plan->plantOutOn() - Timetable::target($this->books->season(), $crop)->number);
        if ($again > $sow) {
            $tasks[] = $this->task($crop, $again, TaskKind::LastResow, "Last day to sow {$name} again and be at most two weeks late");
        }
        if ($crop->coldDays > 0) {
            $tasks[] = $this->task(
                $crop,
                $sow - $crop->coldDays,
                TaskKind::Chill,
                "Put seed of {$name} into the cold for {$crop->coldDays} days",
            );
        }
        if ($indoors) {
            $tasks[] = $this->task(
                $crop,
                $sow,
                TaskKind::Drain,
                "Half an hour after watering {$name} from below, pour off what is left in the tray",
            );
        }
        foreach ($plan->stages as $i => $stage) {
            $tasks = [...$tasks, ...$this->stage($plan, $stage, $i, $name)];
        }
        $tasks[] = $this->task($crop, $plan->plantOutOn(), TaskKind::PlantOut, "Plant out {$name}");

        return $tasks;
    }

    /** @return list<Task> */
    private function stage(CropPlan $plan, StagePlan $stage, int $i, string $name): array
    {
        $crop = $plan->crop;
        $tasks = [];
        if ($stage->fills() && $stage->container !== null && $stage->container->prepMinutesPerUnit > 0.0) {
            $tasks[] = $this->task(
                $crop,
                $stage->start - self::BEFORE,
                TaskKind::Wash,
                "Wash and hole {$stage->container->name} for {$name}",
                $i,
            );
        }
        if ($stage->fills() && ($stage->stage->mix !== null || $i === 0)) {
            $tasks[] = $this->task(
                $crop,
                $stage->start,
                TaskKind::Soak,
                "Wet the mix for {$name}: a squeezed handful holds together and does not drip",
                $i,
            );
        }
        if ($i > 0) {
            $before = $plan->stages[$i - 1]->stage;
            $sign = $before->until === null ? '' : ", when {$before->until}";
            $sites = $stage->fills() && $stage->container !== null ? ": {$stage->sites} of {$stage->container->name}" : '';
            $tasks[] = $this->task($crop, $stage->start, TaskKind::Stage, "{$stage->stage->name}, {$name}{$sites}{$sign}", $i);
        }
        $next = $plan->stages[$i + 1]->stage ?? null;
        // The cover goes as they show; what is left of the stage is growing on without it.
        if ($i === 0 && array_diff($stage->stage->trayware, $next->trayware ?? []) !== []) {
            $tasks[] = $this->task(
                $crop,
                max($stage->start, $stage->end - $stage->stage->extraDays),
                TaskKind::CoverOff,
                "Cover off {$name} as it shows: film over seedlings cooks them",
            );
        }
        if ($stage->stage->mat && ! ($next->mat ?? false)) {
            $tasks[] = $this->task($crop, $stage->end, TaskKind::MatOff, "Mat off for {$name}", $i);
        }
        if ($stage->stage->feedsPerWeek > 0.0) {
            $step = max(1, (int) round(self::WEEK / $stage->stage->feedsPerWeek));
            for ($day = $stage->start + $step, $n = 1; $day <= $stage->end; $day += $step, $n++) {
                $tasks[] = $this->task($crop, $day, TaskKind::Feed, "Feed {$name}, weakly", $i, $n);
            }
        }

        return $tasks;
    }

    /** Days from sowing to the first look. */
    public function firstLook(CropPlan $plan): int
    {
        $species = $this->books->index->species[$plan->lot->species];

        return preg_match(self::BRASSICAS, $species->name) === 1 ? self::FIRST_LOOK_BRASSICA : self::FIRST_LOOK;
    }

    private function task(Crop $crop, int $day, TaskKind $kind, string $words, ?int $stage = null, ?int $number = null): Task
    {
        $late = $this->shift[$crop->id] ?? 0;
        $day += match ($kind) {
            TaskKind::LastResow, TaskKind::Chill => 0,
            TaskKind::PlantOut => max(0, $late) + ($this->out[$crop->id] ?? 0),
            default => $late,
        };

        return new Task(
            (string) JobId::ofCrop($crop->id, $kind, $kind === TaskKind::Soak && $stage === 0 ? null : $stage, $number),
            Day::ofNumber($day)->format(),
            $kind,
            $crop->id,
            $words,
            $stage,
        );
    }

    private function variety(Crop $crop): string
    {
        return $this->books->index->lots[$crop->lot]->variety;
    }
}
