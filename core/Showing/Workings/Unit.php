<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

/** What a number in a working is counted in; screens turn these into the person's own units. */
enum Unit: string
{
    case Money = 'money';
    case MoneyPerKwh = 'money_per_kwh';
    case Kwh = 'kwh';
    case Watts = 'watts';
    case Hours = 'hours';
    case Days = 'days';
    case Plants = 'plants';
    case Seeds = 'seeds';
    case Count = 'count';
    case Share = 'share';
    case Litres = 'litres';
    case Amount = 'amount';
    case Celsius = 'celsius';
    case Flats = 'flats';
    case Seasons = 'seasons';
    case Text = 'text';
}
