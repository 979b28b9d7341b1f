<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Day;

/** What the weather says of a set-up's season as seen on one day: what comes up when, what may not stay out, what bed is too cold yet. */
final readonly class WeatherNow
{
    /** A planting that is so long overdue is not asked about any more. */
    private const OVERDUE_DAYS = 60;

    /** Soil may be so much colder than a species likes, °C. */
    private const NEARLY_C = 1.0;

    public OpenAir $air;

    /** @var array<array-key, Due> what is sown and not up yet, by crop */
    public array $due;

    /** @var list<Night> from the first evening with a forecast to the last */
    public array $nights;

    /** @var array<array-key, Hardening> of what is hardened off these days, by crop */
    public array $hardening;

    /** @var array<array-key, array{have: float, want: float}> the bed's soil where it is too cold to plant out now, °C, by crop */
    public array $coldBeds;

    /**
     * @param  array<array-key, array<int, float>>  $soil  means by day of thermometers in the soil, by the id of their mat
     * @param  array<array-key, array<int, float>>  $inside  the same of thermometers in the air, by the id of their place
     */
    public function __construct(private SetupBooks $books, LogBook $log, WeatherBook $book, public int $today, array $soil = [], array $inside = [])
    {
        $log = $log->inSetup($books);
        $this->air = new OpenAir($books->season(), $book, $today);
        $this->due = (new Emerging($books, $log, $this->air, $soil, $inside))->all();
        $plants = new PlantsOutside($books, $log, $this->air);
        $first = array_key_first($book->forecasts);
        $this->nights = $first === null ? [] : (new Nights($plants, $this->air))->between($first, $today + WeatherBook::AHEAD - 1);
        $beds = $hardening = [];
        foreach ($books->plans as $plan) {
            $facts = $log->crop($plan->crop->id);
            // What is not there, or was planted, is not asked about.
            if ($facts->planted > 0 || $facts->alive === 0 || ($log->entries !== [] && $facts->sown_on === null)) {
                continue;
            }
            $bed = $this->coldBed($plan, $plants);
            $bed === null ?: $beds[$plan->crop->id] = $bed;
            $hardens = Hardening::forPlan($plan, $plants->hardinessOf($plan->crop->id), $this->air, $plants->outSince($plan));
            $hardens === null ?: $hardening[$plan->crop->id] = $hardens;
        }
        [$this->coldBeds, $this->hardening] = [$beds, $hardening];
    }

    /** The call for this evening; null where nobody has forecast it, or nothing stands outdoors. */
    public function tonight(): ?Night
    {
        return array_column($this->nights, null, 'on')[Day::ofNumber($this->today)->format()] ?? null;
    }

    /** @return array<array-key, int> days by which planting out moves, because it was too cold to harden off, by crop */
    public function movedOut(): array
    {
        return array_filter(array_map(fn (Hardening $one): int => $one->moved, $this->hardening));
    }

    /** @return array{nights: int, called: int, right: int, missed: int} how the calls of this season came out */
    public function record(): array
    {
        return Nights::record($this->nights);
    }

    /** @return ?array{have: float, want: float} */
    private function coldBed(CropPlan $plan, PlantsOutside $plants): ?array
    {
        $day = max($plan->plantOutOn(), $this->today);
        $want = $plants->hardinessOf($plan->crop->id);
        $place = $plan->stages[count($plan->stages) - 1]->place;
        if (! $place->outdoors || $plan->method->isDirectSowing() || $day > $this->today + WeatherBook::AHEAD
            || $plan->plantOutOn() < $this->today - self::OVERDUE_DAYS || $this->air->sourceOf($day) === 'planned') {
            return null;
        }
        $have = $this->air->soilIn($place, $day);

        return $have === null || $have >= $want->soilC - self::NEARLY_C ? null : ['have' => $have, 'want' => $want->soilC];
    }
}
