<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Editing;

use InvalidArgumentException;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\Habits;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Day;

/** What moving a bar of the calendar changes: its sowing goes to the nearest day that suits, its end to its method's days. */
final readonly class BarMoves
{
    public function __construct(private SetupBooks $books)
    {
    }

    /**
     * @return array{label: string, path: list<string|int>, to: string} the sowing, so many days later (or, negative, earlier)
     *
     * @throws InvalidArgumentException where the crop is not grown
     */
    public function sowing(string $crop, int $by): array
    {
        $plan = $this->plan($crop);
        $day = Habits::fromMeta($this->books->season()->meta)->nearest($plan->sowOn() + $by);

        return [
            'label' => "sowing date, {$plan->lot->variety}",
            'path' => ['crops', $crop, 'sow_on'],
            'to' => Day::ofNumber($day)->format(),
        ];
    }

    /**
     * @param  int  $stage  of the method, from 0
     * @return array{label: string, path: list<string|int>, to: int} the stage longer (or, negative, shorter) by so many days
     *
     * @throws InvalidArgumentException in words for the person
     */
    public function stretched(string $crop, int $stage, int $by): array
    {
        $plan = $this->plan($crop);
        $row = $plan->method->stages[$stage] ?? throw new InvalidArgumentException('The method has no such stage.');
        if ($row->isRest()) {
            throw new InvalidArgumentException(
                "{$row->name} takes what the other stages leave of the weeks: make one of them longer, or move the sowing.",
            );
        }
        $waits = $row->untilEmergence();
        $now = $waits ? $row->extraDays : (int) $row->days;
        $to = max(0, $now + $by);
        if ($waits && $to === $now) {
            throw new InvalidArgumentException(
                "{$row->name} lasts until the seed is up: it can be made longer, not shorter. Move the sowing instead.",
            );
        }
        $raised = count(array_filter($this->books->plans, fn (CropPlan $other): bool => $other->method->id === $plan->method->id));

        return [
            'label' => "{$row->name} {$now} to {$to} days, ".($raised > 1 ? "{$raised} crops" : $plan->lot->variety),
            'path' => ['methods', $plan->method->id, 'stages', $stage, $waits ? 'extra_days' : 'days'],
            'to' => $to,
        ];
    }

    private function plan(string $crop): CropPlan
    {
        return $this->books->plans[$this->books->grown[$crop] ?? -1] ??
            throw new InvalidArgumentException('This set-up does not raise that crop.');
    }
}
