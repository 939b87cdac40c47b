<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Show\LineDrawing;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Oil\OilVerdict;

/** All that the pages of one job show of its evidence; everything in it is derived. */
final readonly class JobPage
{
    /**
     * @param list<GateState>                     $gates
     * @param array<string, non-empty-list<Blocker>> $closed  the acts that turn, fire or run the engine and are closed, by test
     * @param list<string>                        $shut     the same acts' stages in short: turn, spark, start, run
     * @param array<string, FuelVerdict>          $fuel     by sample, where a jar was read
     */
    public function __construct(
        public Job $job,
        public Record $record,
        public CaseFile $case,
        public LineDrawing $line,
        public array $gates,
        public array $closed,
        public array $shut,
        public OilVerdict $oil,
        public array $fuel,
    ) {
    }

    public function gatesPassed(): int
    {
        return \count(array_filter($this->gates, static fn (GateState $gate): bool => $gate->isPassed()));
    }
}
