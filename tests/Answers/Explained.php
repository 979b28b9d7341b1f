<?php

declare(strict_types=1);

namespace Tests\Answers;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Showing\Workings\BuyingWorkings;
use JollyPenny\Core\Showing\Workings\CropWorkings;
use JollyPenny\Core\Showing\Workings\NoSuchFigure;
use JollyPenny\Core\Showing\Workings\Origins;
use JollyPenny\Core\Showing\Workings\SetupWorkings;
use JollyPenny\Core\Showing\Workings\Working;

/** The workings of every figure of the set-ups and of each of their crops: as the API gives them, without costing the season anew for each. */
final readonly class Explained
{
    public const OF_A_SETUP = ['per_finished', 'per_wanted', 'nursery_per_plant', 'same_per_plant', 'p_keep', 'per_finished_low', 'per_finished_high',
        'income', 'keep', 'cash_now', 'kwh', 'cost', 'fill_cost', 'hours', 'implied_wage', 'filled', 'p_all_enough', 'crowded_days'];

    private const OF_A_CROP = ['g', 'seeds', 'p_enough', 'cost', 'per_finished', 'extra_cost'];

    private const OF_BUYING = ['buy_cost', 'nursery_each', 'same_each', 'keep', 'saves'];

    private function __construct(private Origins $origins)
    {
    }

    /** @param  list<string>  $setups */
    public static function tell(Book $book, string $season, array $setups): void
    {
        $document = JsonText::parse($season);
        $file = (new SeasonReader)->readDocument($document);
        [$costing, $explained, $heads] = [new SeasonCosting($file), new self(new Origins($document)), array_column(Head::cases(), 'value')];
        foreach ($setups as $id) {
            $setup = array_column($file->setups, null, 'id')[$id];
            [$books, $result] = [$costing->books($setup), $costing->setup($setup)];
            $book->value('explained', $id, $explained->figures([...self::OF_A_SETUP, ...$heads],
                fn (string $figure): Working => (new SetupWorkings($books, $result))->explain($figure)));
            foreach ($result->crops as $crop) {
                $book->value('explained', "{$id} {$crop->id}", $explained->figures([...self::OF_A_CROP, ...$heads, ...self::OF_BUYING],
                    fn (string $figure): Working => in_array($figure, self::OF_BUYING, true)
                        ? (new BuyingWorkings($books, $crop))->explain($figure) : (new CropWorkings($books, $crop))->explain($figure)));
            }
        }
    }

    /**
     * @param  list<string>  $figures
     * @param  callable(string): Working  $explain
     * @return mixed the workings by figure; where there is none, why
     */
    private function figures(array $figures, callable $explain): mixed
    {
        $workings = [];
        foreach ($figures as $figure) {
            try {
                $workings[$figure] = $this->origins->trace($explain($figure));
            } catch (NoSuchFigure $none) {
                $workings[$figure] = $none->getMessage();
            }
        }

        return json_decode((string) json_encode($workings, JSON_PRESERVE_ZERO_FRACTION));
    }
}
