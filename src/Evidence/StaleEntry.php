<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;

/** The entry to be changed was already corrected or taken back, most likely by somebody else a moment ago. */
final class StaleEntry extends \DomainException implements Explained
{
    public function __construct()
    {
        parent::__construct('The entry was already corrected or taken back.');
    }

    public function text(): string
    {
        return 'stale_entry';
    }

    public function detail(Words $words, StepWords $steps): ?string
    {
        return null;
    }
}
