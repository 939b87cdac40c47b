<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

/** The machine has gone home; its record is read, not written, until it is taken back. */
final class ClosedJob extends \DomainException
{
    public function __construct()
    {
        parent::__construct('The machine was handed back.');
    }
}
