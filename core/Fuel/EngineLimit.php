<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** Where an ethanol reading, with its uncertainty, stands to what small engines are allowed. */
enum EngineLimit: string
{
    /** Even the upper end of the reading is inside. */
    case Within = 'within';

    /** The limit lies inside the reading's uncertainty. */
    case CannotTell = 'cannot_tell';

    /** Even the lower end of the reading is outside. */
    case Over = 'over';
}
