<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

/** What is given to an owner on paper. */
enum SheetKind: string
{
    case Done = 'done';

    /** How it is started. */
    case StartingCard = 'starting_card';

    /** How it is laid up. */
    case LayUp = 'lay_up';
}
