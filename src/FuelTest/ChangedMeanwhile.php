<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Evidence\Entry;

/** Somebody else saved other readings on the same card after this form was filled. */
final class ChangedMeanwhile extends \RuntimeException
{
    public function __construct(public readonly ?Entry $theirs)
    {
        parent::__construct('The readings were changed by somebody else.');
    }
}
