<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Whether single letters lead about, outside links and fields; a voice or a slip of the hand may type them unmeant. */
enum Keys: string
{
    case On = 'on';
    case Off = 'off';
}
