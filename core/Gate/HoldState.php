<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

/** How a hold stands on one machine. */
enum HoldState
{
    case Clear;

    case Set;

    /** Its cause was put right, but nobody has looked again at what set it. */
    case CuredNotSeen;
}
