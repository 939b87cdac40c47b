<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Show\LineDrawing;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Gate\Standing;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Oil\OilVerdict;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Works out what the pages of a job show. */
final readonly class JobPages
{
    /** The acts that turn, fire or run the engine, one of each kind. */
    private const ACTS = ['feel.pull', 'compression.gauge', 'spark.tester', 'start.plain', 'run.steady'];

    public function __construct(
        private Vocabulary $vocabulary,
        private Gatekeeper $gatekeeper,
        private GateWalk $walk,
        private Line $line,
        private Assessor $assessor,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    public function of(Record $record): JobPage
    {
        $case = $record->case();
        $school = Standing::schoolOf($case);
        $assessment = $this->assessor->assess($case);

        return new JobPage(
            $record->job,
            $record,
            $case,
            LineDrawing::of($this->line->of($case, $assessment->faults), fn (Element $element): string => $this->addresses->generate('room', ['job' => $record->job->getId(), 'room' => $element->value])),
            $assessment,
            $this->walk->of($case),
            ShutActs::by($this->gatekeeper->closed($case, self::ACTS)),
            OilVerdict::of($case, $this->vocabulary, $this->gatekeeper),
            array_map(static fn ($jar): FuelVerdict => FuelVerdict::of($jar, $school), $case->jars),
        );
    }
}
