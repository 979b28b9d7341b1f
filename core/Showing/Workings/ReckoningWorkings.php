<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Living\Reckoning\BridgeStep;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Plan\Books\Head;

/** The workings of what a season came to: each step of the bridge, what was kept, and what an hour earned. */
final readonly class ReckoningWorkings
{
    private const STEP = 'came_';

    private const CENT = 0.01;

    private const RULES = [
        'planned' => ['Planned', 'The season as it is planned: the cost of what you grow over the finished seedlings that somebody wants.'],
        'prices' => ['At the prices paid', 'The same season with every price that you wrote down in place of the planned one.'],
        'used' => ['With what was used', 'On top of the prices paid: what was really sown, and the mix that was really wetted.'],
        'power' => ['With the power measured', 'On top of that: the watts, lifts and temperatures that your devices measured.'],
        'up' => ['With what came up', 'The same cost, divided by the plants to expect from those that came up.'],
        'lived' => ['What it came to', 'The same cost, over what lived of the crops that are over, and what is to be expected of the others.'],
    ];

    public function __construct(private CameTo $came)
    {
    }

    public static function explains(string $figure): bool
    {
        return str_starts_with($figure, self::STEP);
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure): Working
    {
        $came = $this->came;
        $n = Figures::number(...);

        return match ($figure) {
            'came_kept' => new Working($figure, 'Kept against buying', $came->kept, Unit::Money,
                'Buying these crops at the prices paid, less what growing them came to, less buying what is missing.', '',
                [new Term('what a plant came to', $this->last()->per_finished, Unit::Money, null, self::STEP.'lived'),
                    new Term('a plant at the nursery, at the prices paid', $came->nursery_per_plant, Unit::Money)]),
            'came_wage' => new Working($figure, 'What an hour earned', $came->wage, Unit::Money,
                'What growing kept, over the crops that somebody sells, for each hour of work by the plan’s minutes.',
                $came->wage === null ? '' : $n($came->wage * $came->hours).' ÷ '.$n($came->hours).' h', [new Term('hours', $came->hours, Unit::Hours)]),
            default => $this->step($figure),
        };
    }

    /** @throws NoSuchFigure */
    private function step(string $figure): Working
    {
        $keys = array_column($this->came->steps, 'key');
        $at = array_search(substr($figure, strlen(self::STEP)), $keys, true);
        if ($at === false) {
            throw new NoSuchFigure("There is no figure \"{$figure}\".");
        }
        [$step, $before] = [$this->came->steps[$at], $at === 0 ? null : $this->came->steps[$at - 1]];
        $terms = $before === null ? [] : [
            new Term('the step before', $before->per_finished, Unit::Money, null, self::STEP.$before->key),
            new Term('facts written down, of '.Figures::number($step->of), $step->known, Unit::Count),
        ];
        foreach ($step->heads as $head => $amount) {
            if (abs($amount) > 0.0) {
                $was = $before->heads[$head] ?? $amount;
                $moved = abs($was - $amount) < self::CENT / 2 ? '' : ', before '.Figures::number(round($was, 2));
                $terms[] = new Term(Head::from($head)->words().$moved, $amount, Unit::Money);
            }
        }
        $terms[] = new Term('finished and wanted', $step->useful, Unit::Plants);
        [$title, $rule] = self::RULES[$step->key];

        return new Working($figure, $title, $step->per_finished, Unit::Money, $rule,
            Figures::number($step->cost).' ÷ '.Figures::number($step->useful), $terms);
    }

    private function last(): BridgeStep
    {
        return $this->came->steps[count($this->came->steps) - 1];
    }
}
