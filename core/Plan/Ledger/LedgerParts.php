<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\SeedLot;

/**
 * A set-up's cost taken apart into prices and what each crop pays of each. Costs are linear in every price, so one price a coin dearer
 * tells all crops' parts of it; amounts (seeds, litres, kWh) are the plan's, which prices do not change.
 */
final class LedgerParts
{
    private const NONE = 1e-12;

    /** @var list<LedgerInput> */
    public array $inputs = [];

    /** @var list<LedgerPart> */
    public array $parts = [];

    private SetupResult $result;

    private function __construct(private readonly Season $season, private readonly Setup $setup, private readonly SeasonCosting $costing)
    {
        $this->result = $costing->setup($setup);
        $books = $costing->books($setup);
        $this->seed($books);
        foreach (Inputs::forSetup($season, $setup, $books) as [$input, $dearer]) {
            $this->add($input, $this->more($dearer, $input->path[0] !== 'containers'));
        }
        $this->nursery($books);
    }

    public static function forSetup(SeasonCosting $costing, Setup $setup): self
    {
        return new self($costing->season, $setup, $costing);
    }

    /** @return array<string, array<string, float>> money by crop and head, put together from the parts again */
    public function heads(): array
    {
        $heads = [];
        foreach ($this->parts as $part) {
            $input = $this->inputs[$part->input];
            $heads[$part->crop][$part->head] = ($heads[$part->crop][$part->head] ?? 0.0)
                + $part->share * $input->charge($input->price, $this->season->discountRate);
        }

        return $heads;
    }

    /** A crop has seed of one lot only: all lots a coin dearer tell all of it at once. */
    private function seed(SetupBooks $books): void
    {
        $lots = array_map(fn (SeedLot $lot): SeedLot => $lot->with(packetPrice: $lot->packetPrice + 1.0), $this->season->seedLots);
        $more = $this->more($this->season->with(seedLots: $lots), false);
        $lotOf = array_column($this->season->crops, 'lot', 'id');
        foreach (Inputs::seed($this->season, $books) as $id => $input) {
            $this->add($input, array_filter($more, fn (string $crop): bool => $lotOf[$crop] === $id, ARRAY_FILTER_USE_KEY));
        }
    }

    /** The packs of the basket as it is: another price may make another basket cheaper, which is for the season to say. */
    private function nursery(SetupBooks $books): void
    {
        $more = [];
        foreach ($books->bought as $crop) {
            foreach ($books->nursery->basket($crop)->packs ?? [] as $offer => $packs) {
                $more[$offer][$crop->id][Head::Nursery->value] = (float) $packs;
            }
        }
        foreach (Inputs::nursery($this->season) as $id => $input) {
            $this->add($input, $more[$id] ?? []);
        }
    }

    /**
     * @param  bool  $samePlans  whether what is dearer is in no plan
     * @return array<string, array<string, float>> money more by crop and head
     */
    private function more(Season $dearer, bool $samePlans): array
    {
        $row = array_column($dearer->setups, null, 'id')[$this->setup->id];
        $crops = array_column((new SeasonCosting($dearer, $samePlans ? $this->costing : null))->setup($row)->crops, null, 'id');
        $more = [];
        foreach ($this->result->crops as $crop) {
            foreach ($crop->heads ?? [] as $head => $amount) {
                $by = (($crops[$crop->id]->heads ?? [])[$head] ?? $amount) - $amount;
                if (abs($by) > self::NONE) {
                    $more[$crop->id][$head] = $by;
                }
            }
        }

        return $more;
    }

    /** @param  array<string, array<string, float>>  $more  money by crop and head where the input is a coin dearer */
    private function add(LedgerInput $input, array $more): void
    {
        $charge = $input->charge(1.0, $this->season->discountRate);
        if ($charge <= 0.0 || $more === []) {
            return;
        }
        foreach ($more as $crop => $heads) {
            foreach ($heads as $head => $by) {
                $this->parts[] = new LedgerPart((string) $crop, $head, count($this->inputs), $by / $charge);
            }
        }
        $this->inputs[] = $input;
    }
}
