<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/** Which part of a day somebody is away. */
enum PartOfDay: string
{
    case Whole = 'whole';
    case Morning = 'morning';
    case Afternoon = 'afternoon';
}
