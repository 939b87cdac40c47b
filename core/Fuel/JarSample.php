<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** Where the fuel in a jar was drawn: fresh fuel on top says nothing of what has stood in the bowl. */
enum JarSample: string
{
    case Tank = 'tank';
    case Bowl = 'bowl';
}
