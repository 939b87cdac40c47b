<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Oil\OilVerdict;

/** All that the pages of one job show of its evidence; everything in it is derived. */
final readonly class JobPage
{
    /**
     * @param list<GateState>            $gates
     * @param list<ShutActs>             $shut  what keeps the engine from being turned, fired or run
     * @param array<string, FuelVerdict> $fuel  by sample, where a jar was read
     */
    public function __construct(
        public Job $job,
        public Record $record,
        public CaseFile $case,
        public Assessment $assessment,
        public array $gates,
        public array $shut,
        public OilVerdict $oil,
        public array $fuel,
    ) {
    }

    public function gatesPassed(): int
    {
        return \count(array_filter($this->gates, static fn (GateState $gate): bool => !$gate->isOptional() && $gate->isPassed()));
    }

    public function gatesNeeded(): int
    {
        return \count(array_filter($this->gates, static fn (GateState $gate): bool => !$gate->isOptional()));
    }
}
