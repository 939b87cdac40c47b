<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Evidence\Record;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Oil\OilVerdict;
use AwakeShed\Core\Progress\Progression;

/** Works out what the pages of a job show. */
final readonly class JobPages
{
    /** The acts that turn, fire or run the engine, one of each kind. */
    private const ACTS = ['feel.pull', 'compression.gauge', 'spark.tester', 'start.plain', 'run.steady'];

    public function __construct(
        private Vocabulary $vocabulary,
        private Gatekeeper $gatekeeper,
        private GateWalk $walk,
        private Assessing $assessor,
    ) {
    }

    public function forRecord(Record $record): JobPage
    {
        $case = $record->case();
        $school = Progression::schoolOf($case);

        return new JobPage(
            $record->job,
            $record,
            $case,
            $this->assessor->assess($case),
            $this->walk->walked($case),
            ShutActs::by($this->gatekeeper->closed($case, self::ACTS)),
            OilVerdict::onCase($case, $this->vocabulary, $this->gatekeeper),
            array_map(static fn ($jar): FuelVerdict => FuelVerdict::onJar($jar, $school), $case->jars),
        );
    }
}
