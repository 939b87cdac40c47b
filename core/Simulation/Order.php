<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/** By what a simulated technician goes from one test to the next. */
enum Order: string
{
    case Suggested = 'suggested';

    /** The trade's own: gates, fuel, spark and compression, down the fuel path, carburetor, the run; always the same. */
    case Textbook = 'textbook';

    /** Whatever is open. */
    case Random = 'random';

    /** What tells most a minute of the faults that are there, by one who knows them and has only to show them. */
    case Knowing = 'knowing';
}
