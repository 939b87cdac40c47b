<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

enum TachometerVerdict: string
{
    case Told = 'told';

    /** Its beat may be counted in two ways. */
    case TwoReadings = 'two_readings';

    /** Two beats, and nobody knows which is meant. */
    case TwoMachines = 'two_machines';

    /** No engine, or too much else. */
    case NothingHeard = 'nothing_heard';
}
