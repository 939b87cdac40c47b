<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Somebody signs in by that name already, or by one that looks the same. */
final class NameTaken extends \DomainException
{
    public function __construct()
    {
        parent::__construct('That name, or one that looks like it, is somebody\'s.');
    }
}
