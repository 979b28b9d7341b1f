<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Planning\Warning;
use JollyPenny\Core\Plan\Results\CropAccount;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Season\Season;

/**
 * Which ways of raising a crop a grower would not advise: those with a trouble that the set-up one began with has not where it grows
 * the crop. All that chooses asks here. Costing rules, section 11.
 */
final class Soundness
{
    /** What no advice may bring about, besides going out far too late. */
    private const TROUBLES = [Warning::Frost, Warning::Dim, Warning::NoLight, Warning::NoMat, Warning::Small];

    /** Days after the target from which a tender crop has no summer left, and another has bolted. Common practice, no source. */
    private const TOO_LATE_TENDER = 14;

    private const TOO_LATE = 35;

    /** @var array<array-key, array<string, true>> troubles by crop that the set-up has already */
    private array $had = [];

    /** @var array<array-key, array<string, true>> the same by seed lot, for a crop that is parted in two */
    private array $hadByLot = [];

    /** @var array<array-key, true> crops of the season one began with */
    private readonly array $crops;

    /** @var array<string, list<string>> troubles by crop, method, days, lamps and mats */
    private array $known = [];

    private readonly Season $season;

    public function __construct(SetupBooks $named)
    {
        $this->season = $named->season();
        $this->crops = array_fill_keys(array_column($this->season->crops, 'id'), true);
        foreach ($named->plans as $plan) {
            $troubles = array_fill_keys($this->troubles($named, $plan), true);
            $this->had[$plan->crop->id] = $troubles;
            $this->hadByLot[$plan->crop->lot] = ($this->hadByLot[$plan->crop->lot] ?? []) + $troubles;
        }
    }

    /** @return array<array-key, list<string>> by crop, the troubles that it has only now; empty where the choice is sound */
    public function newTroubles(SetupBooks $books): array
    {
        $found = [];
        foreach ($books->plans as $plan) {
            $had = isset($this->crops[$plan->crop->id]) ? $this->had[$plan->crop->id] ?? [] : $this->hadByLot[$plan->crop->lot] ?? [];
            $new = array_values(array_filter($this->troubles($books, $plan), fn (string $trouble): bool => ! isset($had[$trouble])));
            if ($new !== []) {
                $found[$plan->crop->id] = $new;
            }
        }

        return $found;
    }

    public function isSound(SetupBooks $books): bool
    {
        return $this->newTroubles($books) === [];
    }

    /** @return list<string> a crop's troubles in a result, whatever another set-up has */
    public static function ofResult(CropResult $crop, bool $tender): array
    {
        return self::among($crop->warnings, $crop->late_days ?? 0, $tender);
    }

    /** @return list<string> codes of warnings; `late` where it is far too late */
    private function troubles(SetupBooks $books, CropPlan $plan): array
    {
        $key = json_encode([$plan->crop->id, $plan->method->id, $plan->sowOn(), $plan->plantOutOn(), $books->setup->lights, $books->setup->mats]);
        if (! $this->isShared($books)) {
            return self::among((new CropAccount($books))->warnings($plan), $plan->lateDays, $plan->species->tender);
        }

        return $this->known[(string) $key] ??= self::among((new CropAccount($books))->warnings($plan), $plan->lateDays, $plan->species->tender);
    }

    /** Of the season one began with, or one with fewer of its crops: lamps, places and pots are the same. */
    private function isShared(SetupBooks $books): bool
    {
        return $books->season()->lights === $this->season->lights && $books->season()->places === $this->season->places
            && $books->season()->methods === $this->season->methods && $books->season()->containers === $this->season->containers;
    }

    /**
     * @param  list<string>  $warnings
     * @return list<string>
     */
    private static function among(array $warnings, int $lateDays, bool $tender): array
    {
        return [
            ...array_values(array_intersect(array_column(self::TROUBLES, 'value'), $warnings)),
            ...$lateDays > ($tender ? self::TOO_LATE_TENDER : self::TOO_LATE) ? [Warning::Late->value] : [],
        ];
    }
}
