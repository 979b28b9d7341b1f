<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\ListOf;
use JollyPenny\Core\Season\With;

/**
 * The tariff, money per kWh.
 */
final readonly class Electricity
{
    use With;

    /**
     * @param  list<TariffWindow>  $windows
     */
    public function __construct(
        public float $rate,
        #[ListOf(TariffWindow::class)] public array $windows = [],
        public ?HeatCredit $heatCredit = null,
    ) {
    }
}
