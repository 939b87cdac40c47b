<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

/** How the ethanol content behind a figure is known. */
enum EthanolSource: string
{
    case Measured = 'measured';
    case Claimed = 'claimed';

    /** Neither measured nor said: E10, which most pumps sell. */
    case Assumed = 'assumed';
}
