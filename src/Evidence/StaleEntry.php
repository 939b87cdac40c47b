<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

/** The entry to be changed was already corrected or taken back, most likely by somebody else a moment ago. */
final class StaleEntry extends \DomainException
{
    public function __construct()
    {
        parent::__construct('The entry was already corrected or taken back.');
    }
}
