<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Http\Explained;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Gate\Blocker;

/** A finding of a test that is closed as the evidence stands: recording it would mean that it was made. */
final class ClosedTest extends \DomainException implements Explained
{
    /** @param non-empty-list<Blocker> $blockers */
    public function __construct(public readonly string $test, public readonly array $blockers)
    {
        parent::__construct(\sprintf('%s is closed until %s.', $test, implode(', ', array_map(
            static fn (Blocker $blocker): string => $blocker->until,
            $blockers,
        ))));
    }

    public function text(): string
    {
        return 'closed';
    }

    public function detail(Words $words, StepWords $steps): string
    {
        return $words->closedTest($this->test, $this->blockers);
    }
}
