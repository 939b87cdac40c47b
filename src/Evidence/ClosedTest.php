<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\Core\Gate\Blocker;

/** A finding of a test that is closed as the evidence stands: recording it would mean that it was made. */
final class ClosedTest extends \DomainException
{
    /** @param non-empty-list<Blocker> $blockers */
    public function __construct(public readonly string $test, public readonly array $blockers)
    {
        parent::__construct(\sprintf('%s is closed until %s.', $test, implode(', ', array_map(
            static fn (Blocker $blocker): string => $blocker->until,
            $blockers,
        ))));
    }
}
