<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;

/** The machine has gone home; its record is read, not written, until it is taken back. */
final class ClosedJob extends \DomainException implements Explained
{
    public function __construct()
    {
        parent::__construct('The machine was handed back.');
    }

    public function text(): string
    {
        return 'handed_back';
    }

    public function detail(Words $words, StepWords $steps): ?string
    {
        return null;
    }
}
