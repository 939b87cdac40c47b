<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

/** What a shop thinks of opening a jet; the values are the case format's. */
enum DrillingSchool: string
{
    /** Emissions rules, heat the other way, and it cannot be undone: the default. */
    case Never = 'never';

    /** The next drill, and only once everything else is clean, tight and tested. */
    case NextSizeUp = 'next_size_up';
}
