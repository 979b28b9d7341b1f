<?php

declare(strict_types=1);

namespace App\Reckoning;

use App\Devices\DeviceReports;
use App\Models\LogRow;
use App\Models\Purchase;
use App\Models\WeatherPlace;
use App\Seasons\KeptSeason;
use App\Weather\WeatherDays;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Reckoning\Beliefs;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Living\Reckoning\EndOfSeason;
use JollyPenny\Core\Living\Reckoning\Reckoning;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Season\Setup;

/** A kept season's reckoning: by its log, its purchases and what its devices measured. */
final readonly class Reckoned
{
    /** @param  list<array{path: non-empty-list<string>, name: string, now: float, real: float, unit: string}>  $measured */
    private function __construct(private KeptSeason $kept, private Setup $setup, private LogBook $log, private array $measured)
    {
    }

    public static function forSetup(KeptSeason $kept, Setup $setup): self
    {
        return new self($kept, $setup, LogRow::book($kept->model->id)->inSetup($kept->costing->books($setup)), DeviceReports::offers($kept, $setup));
    }

    public function cameTo(): CameTo
    {
        $purchases = array_map(fn (Purchase $one) => $one->bought(), Purchase::ofSeason($this->kept->model->id));

        return (new Reckoning($this->kept->costing, $this->setup, $this->log, $purchases, $this->measured))->cameTo();
    }

    public function beliefs(): Beliefs
    {
        $place = WeatherPlace::ofSeason($this->kept->model);

        return new Beliefs($this->kept->costing->books($this->setup), $this->log, $this->measured,
            $place === null ? new WeatherBook : WeatherDays::book($place));
    }

    public function end(): EndOfSeason
    {
        return new EndOfSeason($this->kept->costing->books($this->setup), $this->log);
    }
}
