<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Calc\Calculation;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\TestDefinition;
use AwakeShed\Core\Gate\Blocker;

/** One test as the pages of a job offer it: what stands, what keeps it closed, where it is worked out. */
final readonly class TestCard
{
    /**
     * @param list<Blocker> $blockers
     */
    public function __construct(
        public TestDefinition $test,
        public ?Finding $standing,
        public array $blockers,
        public ?Calculation $calculation,
    ) {
    }
}
