<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** What a person may do in the shop; each may do all that the ones before it may. */
enum Role: string
{
    /** Takes in, looks, measures, and corrects their own readings. */
    case Apprentice = 'apprentice';

    /** Also declares faults put right, corrects anybody's readings, imports cases and hands machines back. */
    case Technician = 'technician';

    /** Also keeps the list of people. */
    case Owner = 'owner';

    /** For attributes, which take constants only; {@see securityName()} is the rule. */
    public const OWNER_NAME = 'ROLE_OWNER';

    /** The name the security system knows it by. */
    public function securityName(): string
    {
        return 'ROLE_'.strtoupper($this->value);
    }
}
