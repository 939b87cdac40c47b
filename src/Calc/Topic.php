<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

/** What a calculation is about, in the order of a job. */
enum Topic: string
{
    case Quote = 'quote';
    case Fuel = 'fuel';
    case Oil = 'oil';
    case Cylinder = 'cylinder';
    case Spark = 'spark';
    case Path = 'path';
    case Carburetor = 'carburetor';
    case Running = 'running';
    case Washer = 'washer';
}
