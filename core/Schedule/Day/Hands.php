<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

/** Who does a piece of work. */
enum Hands: string
{
    case Anyone = 'anyone';
    case Technician = 'technician';

    /** It needs time and no hands. */
    case Nobody = 'nobody';
}
