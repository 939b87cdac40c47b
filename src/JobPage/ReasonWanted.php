<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

/** A machine was to go home as it is, and nobody has said why. */
final class ReasonWanted extends \DomainException
{
    public function __construct()
    {
        parent::__construct('A reason is wanted.');
    }
}
