<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

/** A machine was to go home with what would bring it back at once. */
final class HeldBack extends \DomainException
{
    /** @param string $why what hinders it, as the core names it */
    public function __construct(public readonly string $why)
    {
        parent::__construct(\sprintf('The machine is held back: %s.', $why));
    }
}
