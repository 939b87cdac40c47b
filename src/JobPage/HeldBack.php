<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;

/** A machine was to go home with what would bring it back at once. */
final class HeldBack extends \DomainException implements Explained
{
    /** @param string $why what hinders it, as the core names it */
    public function __construct(public readonly string $why)
    {
        parent::__construct(\sprintf('The machine is held back: %s.', $why));
    }

    public function text(): string
    {
        return 'held_back';
    }

    public function detail(Words $words, StepWords $steps): string
    {
        return $steps->closing($this->why);
    }
}
