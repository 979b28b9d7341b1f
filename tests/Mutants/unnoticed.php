<?php

declare(strict_types=1);

// Wrong turns that a seed had drawn and that every test of their time let pass, all at once; each is noticed by the book now.

const BOOK = 'tests/Answers/AnswersTest.php';

return [
    ['lamps offered at dollars under another sign', 'core/Season/Catalogue/Catalogue.php', 'isset(PriceLevel::all()[$currency]) ? $currency : PriceLevel::OWN',
        'isset(PriceLevel::all()[$currency]) ? PriceLevel::OWN : $currency', BOOK],
    ['a packet that ages loses its least share', 'core/Plan/Ledger/Inputs.php', 'least: 1.0 / $years', 'least: 0.0', BOOK],
    ['defaults of inner objects not filled', 'core/Season/File/SeasonSchema.php', 'if ($inner instanceof stdClass) {
                self::fill($inner, $child);', 'if ($inner instanceof stdClass) {', BOOK],
    ['windows of a tariff that overlap from behind', 'core/Season/File/MeaningCheck.php', '$gap < $otherLength || $back < $length', '$gap < $otherLength',
        BOOK],
    ['planting out told earlier where it was sown early', 'core/Living/Tasks/Tasks.php', 'max(0, $late) + (', '$late + (', BOOK],
    ['what was planted stands outside in its pot that evening too', 'core/Living/Weather/PlantsOutside.php', '$one[0] <= $evening', '$one[0] < $evening', BOOK],
    ['a day too cold uses up a day of shade', 'core/Living/Weather/Hardening.php', '$done < self::SHADE_DAYS', '$done + $off < self::SHADE_DAYS', BOOK],
    ['a row counted again after plants left it', 'core/Living/Log/PlantLedger.php', '$count + array_sum($this->gone[$row] ?? [])', '$count', BOOK],
    ['free seed of any plant', 'core/Deciding/Advising/Changes.php', ' && $lot->variety === $plan->lot->variety', '', BOOK],
    ['lit and dark sowings in one tray', 'core/Living/Trays/Run.php', ".'|'.(int) \$this->stage->stage->light;", ';', BOOK],
    ['a second trip to the nursery', 'core/Living/Reckoning/Reckoning.php', '$books->bought !== [] ? 0.0 :', '$books->bought !== [] && false ? 0.0 :', BOOK],
    ['the bed of overdue planting by the soil of a day gone by', 'core/Living/Weather/WeatherNow.php', 'max($plan->plantOutOn(), $this->today)',
        '$plan->plantOutOn()', BOOK],
    ['the last row of a tray is never filled', 'core/Living/Trays/TrayMoves.php',
        '$needed > $target->rows - $first + 1', '$needed > $target->rows - $first', BOOK],
    ['110 V are not a US outlet', 'core/Showing/Bench/CircuitLoad.php', '[100.0, 130.0]', '[125.0, 130.0]', BOOK],
    ['sites for units', 'core/Showing/Workings/CropWorkings.php', "Figures::number(\$stage->units()).' × '.Figures::number(\$container->unitPrice())",
        "Figures::number(\$stage->sites).' × '.Figures::number(\$container->unitPrice())", BOOK],
    ['the growth of the set-up\'s method instead of the one on screen', 'core/Deciding/Choosing/MethodGrowth.php',
        '$line = $this->line($this->season, $setup->raising($crop, $method), $crop);', '$line = $this->line($this->season, $setup, $crop);', BOOK],
    ['labels bear the planned day', 'core/Showing/Labels/Label.php', '$log->crop($run->crop)->sown_on)', 'null)', BOOK],
    ['"before" of the plan', 'core/Showing/Workings/ReckoningWorkings.php',
        '$before->heads[$head] ?? $amount', '$this->came->steps[0]->heads[$head] ?? $amount', BOOK],
    ['low by the low', 'core/Showing/Workings/SetupWorkings.php', '? $r->useful_high : $r->useful_low)', '? $r->useful_low : $r->useful_low)', BOOK],
    ['months out of order', 'core/Showing/Bench/Bench.php', 'ksort($months);', 'krsort($months);', BOOK],
    ['the trip saved as what an hour is worth', 'web/src/screens/growlist/SeasonFacts.tsx', "save(['nursery_trip_cost']", "save(['hourly_value']",
        'tests/Web/may.test.ts'],
    ['quarts as litres', 'web/src/screens/pots/SupplyLine.tsx', 'unit={said}
          places={2}
          value={row.pack_amount}', 'places={2}
          value={row.pack_amount}', 'tests/Web/may.test.ts'],
    ['the answer of another set-up', 'web/src/screens/shed/Leftovers.tsx', "['leftovers', season, setup]", "['leftovers', season]", 'web/query-keys.test.ts'],
    ['another set-up\'s last move', 'web/src/page/Page.tsx', 'last?.setup === shown.setup.id ?', 'last ?', 'tests/Web/acts.test.tsx'],
    ['Escape drops a bar too', 'web/src/screens/calendar/Bars.tsx', "else if (event.key === 'Escape') forget();", "else if (event.key === 'Escape') drop();",
        'tests/Web/acts.test.tsx'],
];
