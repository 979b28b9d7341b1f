<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Potting\StandingTime;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Raising;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;

/** Crops started too early for their pot, sown after the packet's time, or with a tap root held too long. The catalogue's weeks are the measure. */
final readonly class Timing
{
    private const WEEK = 7;

    /** A week more or less is nobody's fault, days. */
    private const LEEWAY = 7;

    /** A tap root stands no longer than this in a container, days; common practice, no source. */
    private const TAP_ROOT_DAYS = 21;

    public function __construct(private SetupBooks $books, private Catalogue $catalogue = new Catalogue())
    {
    }

    /** @return list<TimingNote> in the order of the list */
    public function notes(): array
    {
        $notes = [];
        foreach ($this->books->plans as $plan) {
            $species = $this->books->index->species[$plan->lot->species];
            $facts = $this->catalogue->recognise(SeasonDraft::kinIn($species->meta), $species->name);
            $note = $facts === null || $plan->stages[0]->container === null ? null : $this->note($plan, $facts) ?? $this->outgrown($plan, $facts);
            if ($note !== null) {
                $notes[] = $note;
            }
        }

        return $notes;
    }

    private function note(CropPlan $plan, SpeciesFacts $facts): ?TimingNote
    {
        $days = $plan->plantOutOn() - $plan->sowOn();
        $name = $plan->lot->variety;
        $weeks = (int) round($days / self::WEEK);

        return match (true) {
            self::isSownWhereItGrows($facts) && $plan->stages[0]->container?->singleUse !== true && $days > self::TAP_ROOT_DAYS => new TimingNote(
                $plan->crop->id,
                'tap_root',
                "{$name} stands {$days} days in its container; with its root it is better sown where it grows, or planted out within three weeks.",
            ),
            $days > $facts->weeksTo * self::WEEK + self::LEEWAY => new TimingNote(
                $plan->crop->id,
                'too_early',
                "{$name} is started {$weeks} weeks before planting out; {$facts->weeksTo} are usual, and it may outgrow its pot.",
            ),
            $days < $facts->weeksFrom * self::WEEK - self::LEEWAY => new TimingNote(
                $plan->crop->id,
                'too_late',
                "{$name} is sown {$weeks} weeks before planting out; packets say at least {$facts->weeksFrom}.",
            ),
            default => null,
        };
    }

    /** The first cell or pot in which it stands longer than is good for it. */
    private function outgrown(CropPlan $plan, SpeciesFacts $facts): ?TimingNote
    {
        foreach (StandingTime::forPlan($plan, $facts->raising) as $stay) {
            if ($stay->too_long) {
                return new TimingNote($plan->crop->id, 'outgrown', "{$plan->lot->variety} stands {$stay->days} days in {$stay->container}; about {$stay->most}"
                    .' are good for it. Move it on sooner, or give it more room.');
            }
        }

        return null;
    }

    private static function isSownWhereItGrows(SpeciesFacts $facts): bool
    {
        return in_array($facts->raising, [Raising::Root, Raising::Bed], true);
    }
}
