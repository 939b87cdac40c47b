<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;

/** To take this back would send the machine home; that is done by handing it back, past its guard. */
final class NotByTakingBack extends \DomainException implements Explained
{
    public function __construct()
    {
        parent::__construct('A machine goes home by being handed back.');
    }

    public function text(): string
    {
        return 'not_by_taking_back';
    }

    public function detail(Words $words, StepWords $steps): null
    {
        return null;
    }
}
