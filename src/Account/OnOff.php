<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** A preference that is on or off. */
enum OnOff: string
{
    case On = 'on';
    case Off = 'off';
}
