<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Results\ShoppingLine;
use JollyPenny\Core\Season\Things\ThingKind;

/** The workings of a set-up's figures: the till's, and each head in total. */
final readonly class SetupWorkings
{
    public function __construct(private SetupBooks $books, private SetupResult $result)
    {
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure): Working
    {
        return match ($figure) {
            'per_finished' => $this->perFinished($figure),
            'per_wanted' => $this->perWanted($figure),
            'nursery_per_plant' => $this->atTheNursery($figure),
            'same_per_plant' => $this->samePlants($figure),
            'p_keep' => $this->chanceOfSaving($figure),
            'per_finished_low', 'per_finished_high' => $this->inSuchASeason($figure),
            'income' => $this->income($figure),
            'keep' => $this->kept($figure),
            'cash_now' => $this->cashNow($figure),
            'kwh' => $this->electricity(),
            'cost' => $this->cost($figure),
            'fill_cost' => $this->filled($figure),
            'hours', 'implied_wage', 'filled', 'p_all_enough', 'crowded_days' => (new WorkWorkings($this->books, $this->result))->explain($figure),
            default => $this->head(Head::tryFrom($figure) ?? throw new NoSuchFigure("There is no figure \"{$figure}\".")),
        };
    }

    private function perFinished(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);
        $grown = $this->costOfTheGrown();

        return $this->money(
            $figure,
            'Cost per finished seedling',
            $r->per_finished,
            'The cost of what you grow over the finished seedlings that somebody wants.',
            $n($grown).' ÷ '.$n($r->useful),
            [
                new Term('cost of the grown crops', $grown, Unit::Money, null, 'cost'),
                new Term('finished and wanted, on average', $r->useful, Unit::Plants),
            ],
        );
    }

    private function perWanted(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'One plant of your list',
            $r->per_wanted,
            'The cost of the set-up with what falls short bought, over the plants on your list it supplies.',
            $n($r->fill_cost).' ÷ '.$n($r->filled),
            [
                new Term('cost of the set-up', $r->cost, Unit::Money, null, 'cost'),
                new Term('shortfall bought', $r->fill_cost - $r->cost, Unit::Money),
                new Term('plants supplied', $r->filled, Unit::Plants),
            ],
        );
    }

    private function atTheNursery(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'At the nursery',
            $r->nursery_per_plant,
            'All these crops bought, the trip once, over the plants wanted.',
            $r->buy_total === null ? '' : $n($r->buy_total).' ÷ '.$n($r->buy_total / (float) $r->nursery_per_plant),
            [...$this->offers(), new Term('the trip', $this->books->season()->nurseryTripCost, Unit::Money, ['nursery_trip_cost'])],
        );
    }

    private function samePlants(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'The same plants, grown',
            $r->same_per_plant,
            'What the plants that a nursery sells too cost by this set-up, the few that fail bought, over those same plants.',
            $r->same_per_plant === null ? ''
                : $n((float) $r->buy_total - (float) $r->keep).' ÷ '.$n((float) $r->buy_total / (float) $r->nursery_per_plant),
            [
                new Term('buying them all', $r->buy_total, Unit::Money, null, 'nursery_per_plant'),
                new Term('saved on average', $r->keep, Unit::Money, null, 'keep'),
            ],
        );
    }

    private function chanceOfSaving(string $figure): Working
    {
        $r = $this->result;

        return new Working(
            $figure,
            'The chance that growing saves anything',
            $r->p_keep,
            Unit::Share,
            'The share of seasons in which the set-up costs no more than buying everything. Plants that fail are counted as bought.',
            '',
            [
                new Term('buying it all', $r->buy_total, Unit::Money, null, 'nursery_per_plant'),
                new Term('saved on average', $r->keep, Unit::Money, null, 'keep'),
            ],
        );
    }

    private function inSuchASeason(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);
        $grown = $this->costOfTheGrown();

        return $this->money(
            $figure,
            $figure === 'per_finished_low' ? 'In a good season' : 'In a bad season',
            $figure === 'per_finished_low' ? $r->per_finished_low : $r->per_finished_high,
            'The cost of what you grow over the plants of a season so good, or so bad, as one in ten.',
            $n($grown).' ÷ '.$n($figure === 'per_finished_low' ? $r->useful_high : $r->useful_low),
            [
                new Term('cost of the grown crops', $grown, Unit::Money, null, 'cost'),
                new Term('finished and wanted, in a good season', $r->useful_high, Unit::Plants),
                new Term('finished and wanted, in a bad season', $r->useful_low, Unit::Plants),
            ],
        );
    }

    private function income(string $figure): Working
    {
        $r = $this->result;

        return $this->money(
            $figure,
            'From what you sell',
            $r->income,
            'Plants left for sale when yours and those you give away are there, on average, at their price. It does not lower any cost.',
            '',
            array_map(
                fn (CropResult $crop): Term => new Term($this->variety($crop->id), $crop->income, Unit::Money),
                array_values(array_filter($r->crops, fn (CropResult $crop): bool => (float) $crop->income > 0.0)),
            ),
        );
    }

    private function kept(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'What you keep',
            $r->keep,
            'Buying everything, less what growing costs, the shortfall bought and the trip after it.',
            $r->keep === null ? '' : $n((float) $r->buy_total).' − '.$n((float) $r->buy_total - $r->keep),
            [
                new Term('buying it all', $r->buy_total, Unit::Money, null, 'nursery_per_plant'),
                new Term('growing', $r->cost, Unit::Money, null, 'cost'),
            ],
        );
    }

    private function cashNow(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'Cash now',
            $r->cash_now,
            'Whole packs of what is not in stock, and what you do not own yet.',
            Figures::sum(array_map(fn (ShoppingLine $line): string => $n($line->cost), $r->shopping)),
            array_map(
                fn (ShoppingLine $line): Term => new Term("{$line->packs} × {$this->name($line)}", $line->cost, Unit::Money),
                $r->shopping,
            ),
        );
    }

    private function electricity(): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return new Working(
            'kwh',
            'Electricity',
            array_sum($r->kwh),
            Unit::Kwh,
            'What lamps, mats and appliances use over the season.',
            Figures::sum(array_map($n, array_values($r->kwh))),
            [
                new Term('lamps', $r->kwh['light'], Unit::Kwh, null, 'light_power'),
                new Term('mats', $r->kwh['heat'], Unit::Kwh, null, 'heat_power'),
                new Term('fans and hot water', $r->kwh['appliance'], Unit::Kwh, null, 'appliance_power'),
                new Term('on the bill', $r->electricity_bill, Unit::Money),
            ],
        );
    }

    private function cost(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'Cost of the set-up',
            $r->cost,
            'Everything the season uses up, head by head.',
            Figures::sum(array_map($n, array_values(array_filter($r->heads)))),
            array_map(
                fn (string $head): Term => new Term(Head::from($head)->words(), $r->heads[$head], Unit::Money, null, $head),
                array_keys(array_filter($r->heads)),
            ),
        );
    }

    private function filled(string $figure): Working
    {
        $r = $this->result;
        $n = Figures::number(...);

        return $this->money(
            $figure,
            'To fill your list',
            $r->fill_cost,
            'Everything the season uses up, with the plants that are expected to fall short bought.',
            $n($r->cost).' + '.$n($r->fill_cost - $r->cost),
            [
                new Term('cost of the set-up', $r->cost, Unit::Money, null, 'cost'),
                new Term('shortfall bought', $r->fill_cost - $r->cost, Unit::Money),
            ],
        );
    }

    private function costOfTheGrown(): float
    {
        return (float) array_sum(array_map(fn (CropResult $crop): float => $crop->grown ? (float) $crop->cost : 0.0, $this->result->crops));
    }

    /** @param  list<Term>  $terms */
    private function money(string $figure, string $title, ?float $value, string $rule, string $formula, array $terms): Working
    {
        return new Working($figure, $title, $value, Unit::Money, $rule, $formula, $terms);
    }

    private function head(Head $head): Working
    {
        $terms = [];
        foreach ($this->result->crops as $crop) {
            $amount = $crop->heads[$head->value] ?? 0.0;
            if (abs($amount) > 0.0) {
                $terms[] = new Term($this->variety($crop->id), $amount, Unit::Money);
            }
        }

        return new Working(
            $head->value,
            $head->words(),
            $this->result->heads[$head->value],
            Unit::Money,
            'The same head of every crop, added up.',
            Figures::sum(array_map(fn (Term $term): string => Figures::number((float) $term->value), $terms)),
            $terms,
        );
    }

    /** @return list<Term> */
    private function offers(): array
    {
        $terms = [];
        foreach ($this->result->crops as $crop) {
            if ($crop->cost !== null && $crop->buy_cost !== null) {
                $terms[] = new Term($this->variety($crop->id), $crop->buy_cost, Unit::Money, ['crops', $crop->id, 'nursery']);
            }
        }

        return $terms;
    }

    private function variety(string $crop): string
    {
        foreach ($this->books->season()->crops as $row) {
            if ($row->id === $crop) {
                return $this->books->index->lots[$row->lot]->variety;
            }
        }

        return $crop;
    }

    private function name(ShoppingLine $line): string
    {
        $kind = ThingKind::from($line->kind);

        return $kind === ThingKind::Trip ? 'trip to the nursery' : $kind->nameOf($this->books->season(), $line->id) ?? $line->id;
    }
}
