<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Stage;

/** How many plants live through a whole method, as people say it until their log has counts. Common practice, no source. */
enum SurvivalPreset: string
{
    case FirstYear = 'first_year';
    case Usual = 'usual';
    case Careful = 'careful';

    /** Share that lives through all stages together. */
    public function share(): float
    {
        return match ($this) {
            self::FirstYear => 0.5,
            self::Usual => 0.8,
            self::Careful => 0.9,
        };
    }

    /**
     * Each stage's survival, so that all of them together make the share: stages keep their proportions in risk.
     *
     * @return list<float>
     */
    public function stages(Method $method): array
    {
        $risks = array_map(fn (Stage $stage): float => -log($stage->survival), $method->stages);
        $sum = array_sum($risks);
        $whole = -log($this->share());

        return array_map(fn (float $risk): float => round(exp(-($sum > 0.0 ? $whole * $risk / $sum : $whole / count($risks))), 6), $risks);
    }
}
