<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

/** A request key that had been used for something else: another answer, another page, another person. */
final class KeyConflict extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('The request key was used for something else.');
    }
}
