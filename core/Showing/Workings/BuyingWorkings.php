<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Plan\Books\Basket;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Season\Crops\Crop;

/** What a crop costs at the nursery, and what its verdict saves against the other way; for crops grown or bought. */
final readonly class BuyingWorkings
{
    private Crop $crop;

    public function __construct(private SetupBooks $books, private CropResult $result)
    {
        $this->crop = array_column($books->season()->crops, null, 'id')[$result->id];
    }

    public static function explains(string $figure): bool
    {
        return in_array($figure, ['buy_cost', 'nursery_each', 'same_each', 'keep', 'saves'], true);
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure): Working
    {
        return match ($figure) {
            'buy_cost' => $this->buying(),
            'nursery_each' => $this->each(),
            'same_each' => $this->same(),
            'keep' => $this->saves('keep', true, false),
            'saves' => $this->saves('saves', $this->result->verdict === 'grow', $this->result->verdict === 'buy'),
            default => throw new NoSuchFigure("There is no figure \"{$figure}\"."),
        };
    }

    private function buying(): Working
    {
        $basket = $this->books->nursery->basket($this->crop) ?? throw new NoSuchFigure('This crop is not sold as a plant.');
        $terms = [
            new Term('wanted', $this->crop->wanted, Unit::Plants, ['crops', $this->crop->id, 'wanted']),
            new Term('of bought plants are lost', $this->crop->boughtLoss, Unit::Share, ['crops', $this->crop->id, 'bought_loss']),
            new Term('plants to buy', Basket::plantsNeeded($this->crop->wanted, $this->crop->boughtLoss), Unit::Plants),
        ];
        $parts = [];
        foreach ($this->books->index->offers as $id => $offer) {
            if (isset($basket->packs[$id])) {
                $terms[] = new Term("{$offer->name}, {$offer->plants} to a pack: packs", $basket->packs[$id], Unit::Count);
                $terms[] = new Term("{$offer->name}, a pack", $offer->price, Unit::Money, ['nursery', $offer->id, 'price']);
                $parts[] = $basket->packs[$id].' × '.Figures::number($offer->price);
            }
        }

        return new Working(
            'buy_cost',
            'Buying this crop',
            $basket->cost,
            Unit::Money,
            'The cheapest packs that cover the plants, those that will be lost too. The trip is not in it.',
            Figures::sum($parts),
            $terms,
        );
    }

    private function each(): Working
    {
        $each = $this->result->boughtEach() ?? throw new NoSuchFigure('This crop is not sold as a plant.');
        $cost = (float) $this->result->buy_cost;

        return new Working(
            'nursery_each',
            'One plant at the nursery',
            $each,
            Unit::Money,
            'Buying the crop, over the plants wanted.',
            Figures::number($cost).' ÷ '.Figures::number($this->crop->wanted),
            [
                new Term('buying the crop', $cost, Unit::Money, null, 'buy_cost'),
                new Term('wanted', $this->crop->wanted, Unit::Plants, ['crops', $this->crop->id, 'wanted']),
            ],
        );
    }

    private function same(): Working
    {
        $each = $this->result->buy_cost === null ? null : $this->result->filledEach();
        $cost = (float) $this->result->cost;
        $short = $this->result->shortfallBought();

        return new Working(
            'same_each',
            'The same plant, grown',
            $each ?? throw new NoSuchFigure('This crop is not sold as a plant.'),
            Unit::Money,
            'What growing the crop costs, with the plants that fail bought, over the plants wanted: as many as the nursery\'s price is of.',
            '('.Figures::number($cost).' + '.Figures::number($short).') ÷ '.Figures::number($this->crop->wanted),
            [
                new Term('growing it', $cost, Unit::Money, null, 'cost'),
                new Term('plants short, bought', $short, Unit::Money),
                new Term('wanted', $this->crop->wanted, Unit::Plants, ['crops', $this->crop->id, 'wanted']),
            ],
        );
    }

    /**
     * @param  bool  $own  growing counted at its own share of everything, not at what it adds
     * @param  bool  $buy  what buying saves
     */
    private function saves(string $figure, bool $own, bool $buy): Working
    {
        $buying = $this->result->buy_cost;
        if ($buying === null || $this->result->cost === null || $this->result->extra_cost === null) {
            throw new NoSuchFigure('There is only one way with this crop: nothing is saved.');
        }
        $short = $this->result->shortfallBought();
        $growing = $own ? $this->result->cost : $this->result->extra_cost;

        return new Working(
            $figure,
            $buy ? 'What buying saves' : 'What growing saves',
            ($buy ? -1 : 1) * ($buying - $growing - $short),
            Unit::Money,
            $own
                ? 'Buying, less the crop\'s own share of everything and the few plants that will be short, bought.'
                : 'What growing it adds to a bench that runs anyway, with missing plants bought, compared with buying all.',
            $buy
                ? Figures::number($growing).' + '.Figures::number($short).' − '.Figures::number($buying)
                : Figures::number($buying).' − '.Figures::number($growing).' − '.Figures::number($short),
            [
                new Term('buying the crop', $buying, Unit::Money, null, 'buy_cost'),
                new Term($own ? 'its own cost' : 'what growing it adds', $growing, Unit::Money, null, $own ? 'cost' : 'extra_cost'),
                new Term('plants short, bought', $short, Unit::Money),
            ],
        );
    }
}
