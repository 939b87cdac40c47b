<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A way to clean a part. */
enum Method: string
{
    case Brush = 'brush';
    case Ultrasonic = 'ultrasonic';
    case Soak = 'soak';
    case Vinegar = 'vinegar';
    case Spray = 'spray';
    case Wire = 'wire';
    case Air = 'air';
}
