<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\Entry;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Proving\Attempt;

/** A start as it was tried: who and when, and what was counted. */
final readonly class TriedStart
{
    public function __construct(public Entry $entry, public Finding $finding, public Attempt $attempt)
    {
    }
}
