<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

/** The units a person reads and types by default; any other unit may be typed behind a number. */
enum UnitSystem: string
{
    case Metric = 'metric';
    case Us = 'us';

    /** As the trade mixes them: millilitres and millimetres, gallons and degrees Fahrenheit. */
    case TradeMixed = 'trade_mixed';
}
