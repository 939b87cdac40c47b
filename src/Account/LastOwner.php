<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Somebody has to be able to keep the list of people. */
final class LastOwner extends \DomainException
{
    public function __construct()
    {
        parent::__construct('The last owner stays owner.');
    }
}
