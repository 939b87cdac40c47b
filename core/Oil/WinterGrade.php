<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\Temperature;

/** The winter grades of engine oil by how cold they may be cranked and pumped (SAE J300, its low-temperature columns, published). */
enum WinterGrade: string
{
    case W0 = '0W';
    case W5 = '5W';
    case W10 = '10W';
    case W15 = '15W';
    case W20 = '20W';
    case W25 = '25W';

    /** The coldest its cranking viscosity is limited at: colder, an engine may not turn over fast enough to start. */
    public function cranksTo(): Temperature
    {
        return Temperature::celsius(match ($this) {
            self::W0 => -35,
            self::W5 => -30,
            self::W10 => -25,
            self::W15 => -20,
            self::W20 => -15,
            self::W25 => -10,
        });
    }

    /** The coldest its pumping viscosity is limited at: colder, it may not reach the bearings, though the engine turns. */
    public function pumpsTo(): Temperature
    {
        return Temperature::celsius(match ($this) {
            self::W0 => -40,
            self::W5 => -35,
            self::W10 => -30,
            self::W15 => -25,
            self::W20 => -20,
            self::W25 => -15,
        });
    }
}
