<?php

declare(strict_types=1);

namespace AwakeShed\App\TestCard;

use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\TestDefinition;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Progress\RaisedAsk;

/** One test as the pages of a job offer it: what stands, what keeps it closed, where it is worked out. */
final readonly class TestCard
{
    /**
     * @param list<Blocker>     $blockers
     * @param list<Calculation> $calculations that say what it showed
     * @param list<RaisedAsk>   $asks         that nobody has gone past yet
     * @param list<Entry>       $gonePast     why somebody goes on all the same
     */
    public function __construct(
        public TestDefinition $test,
        public ?Finding $standing,
        public array $blockers,
        public array $calculations,
        public array $asks,
        public array $gonePast,
    ) {
    }
}
