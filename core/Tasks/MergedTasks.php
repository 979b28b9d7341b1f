<?php

declare(strict_types=1);

namespace JollyPenny\Core\Tasks;

use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Calendar\StagePlan;
use JollyPenny\Core\Planning\CropPlan;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Units\Ceiling;
use JollyPenny\Core\Units\Measure;

/** The tasks of a set-up with what is done together on a day said once, with its total: all the mix wetted, all the pots washed. */
final readonly class MergedTasks
{
    /** More names than these are counted. */
    private const NAMES = 4;

    private const BEFORE = 1;

    public function __construct(private SetupBooks $books)
    {
    }

    /** @return list<Task> by date, then as the work goes; `crop` is null where several share it */
    public function all(): array
    {
        $merged = $groups = [];
        foreach ((new Tasks($this->books))->all() as $task) {
            if (! self::isShared($task->kind)) {
                $merged[] = $task;

                continue;
            }
            $key = "{$task->date} {$task->kind->value}";
            if (! isset($groups[$key])) {
                $merged[] = $task;
                $groups[$key] = [array_key_last($merged), []];
            }
            $groups[$key][1][] = $task;
        }
        foreach ($groups as [$at, $tasks]) {
            $merged[$at] = $this->together($tasks);
        }

        return array_values($merged);
    }

    private static function isShared(TaskKind $kind): bool
    {
        return in_array($kind, [TaskKind::Soak, TaskKind::Wash, TaskKind::Drain, TaskKind::FirstLook, TaskKind::CoverOff, TaskKind::MatOff,
            TaskKind::Feed], true);
    }

    /** @param  non-empty-list<Task>  $tasks  of one kind and day */
    private function together(array $tasks): Task
    {
        $first = $tasks[0];
        $crops = array_values(array_unique(array_filter(array_column($tasks, 'crop'))));
        $names = self::list(array_map($this->variety(...), $crops));
        $one = count($crops) === 1;
        $words = match ($first->kind) {
            TaskKind::Soak => 'Wet '.$this->litres($first->date, $crops).': a squeezed handful holds together and does not drip',
            TaskKind::Wash => 'Wash and hole '.$this->pots($first->date, $crops),
            TaskKind::Drain => 'Half an hour after watering from below, pour off what is left in the trays',
            TaskKind::FirstLook => 'First look: '.($one ? 'is' : 'are')." {$names} up?",
            TaskKind::CoverOff => "Cover off {$names} as ".($one ? 'it shows' : 'they show').': film over seedlings cooks them',
            TaskKind::MatOff => "Mat off for {$names}",
            default => "Feed {$names}, weakly",
        };

        return new Task($one ? $first->id : "{$first->kind->value}-{$first->date}", $first->date, $first->kind, $one ? $crops[0] : null, $words,
            $first->away);
    }

    /** @param  list<string>  $crops */
    private function litres(string $date, array $crops): string
    {
        $day = Day::parse($date)->number + self::BEFORE;
        $litres = [];
        foreach ($this->plansOf($crops) as $plan) {
            $stage = $plan->stages[0];
            if ($stage->start === $day && $stage->container !== null && $stage->stage->mix !== null) {
                $litres[$stage->stage->mix] = ($litres[$stage->stage->mix] ?? 0.0)
                    + $stage->mixLitres($this->books->season()->mixOverage);
            }
        }
        $us = $this->books->season()->units->value === 'us';
        $said = array_map(
            fn (string $mix, float $amount): string => ($us ? self::amount(Measure::Quart->fromCore($amount)).' qt' : self::amount($amount).' L')
                .' of '.$this->mixName($mix),
            array_keys($litres),
            array_values($litres),
        );

        return $said === [] ? 'the pellets' : self::list($said);
    }

    /** @param  list<string>  $crops */
    private function pots(string $date, array $crops): string
    {
        $day = Day::parse($date)->number + self::BEFORE;
        $units = $names = [];
        foreach ($this->plansOf($crops) as $plan) {
            foreach ($plan->stages as $stage) {
                if ($stage->start === $day && self::isWashed($stage)) {
                    $units[$stage->container->id ?? ''] = ($units[$stage->container->id ?? ''] ?? 0.0) + $stage->units();
                    $names[$stage->container->id ?? ''] = $stage->container->name ?? '';
                }
            }
        }

        return self::list(array_map(fn (string $id, float $n): string => max(1, Ceiling::of($n)).' × '.$names[$id], array_keys($units), array_values($units)));
    }

    private static function isWashed(StagePlan $stage): bool
    {
        return $stage->fills() && $stage->container !== null && $stage->container->prepMinutesPerUnit > 0.0;
    }

    /**
     * @param  list<string>  $crops
     * @return list<CropPlan>
     */
    private function plansOf(array $crops): array
    {
        return array_values(array_filter($this->books->plans, fn (CropPlan $plan): bool => in_array($plan->crop->id, $crops, true)));
    }

    private function variety(string $crop): string
    {
        foreach ($this->books->plans as $plan) {
            if ($plan->crop->id === $crop) {
                return $plan->lot->variety;
            }
        }

        return $crop;
    }

    private function mixName(string $id): string
    {
        return $this->books->index->mixes[$id]->name ?? $this->books->index->supplies[$id]->name;
    }

    private static function amount(float $value): string
    {
        return rtrim(rtrim(number_format($value, $value < 10.0 ? 1 : 0), '0'), '.') ?: '0';
    }

    /** @param  list<string>  $names */
    private static function list(array $names): string
    {
        $shown = count($names) > self::NAMES + 1 ? [...array_slice($names, 0, self::NAMES), count($names) - self::NAMES.' more'] : $names;
        $last = array_pop($shown);

        return $shown === [] ? (string) $last : implode(', ', $shown)." and {$last}";
    }
}
