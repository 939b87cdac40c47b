<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Another owner gave the person another role first. */
final class ChangedMeanwhile extends \DomainException
{
    public function __construct(public readonly Role $now)
    {
        parent::__construct('The role was changed by somebody else.');
    }
}
