<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Evidence\Author;

/** Somebody else saved other readings on the same card after this form was filled. */
final class ChangedMeanwhile extends \RuntimeException
{
    /** @param int|null $standing number of the entry that stands now; null when it was taken back altogether */
    public function __construct(public readonly ?Author $by, public readonly ?int $standing)
    {
        parent::__construct('The readings were changed by somebody else.');
    }
}
