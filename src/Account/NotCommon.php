<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Validator\Constraint;

/** Refuses a password that is one of the first to be tried, or one with a number or sign put on. */
final class NotCommon extends Constraint
{
    public string $message = 'That is one of the passwords everybody tries first. Take a few words that mean something to you alone.';
}
