<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Exchange\CaseFiles;
use AwakeShed\App\Exchange\JsonFileCommand;
use AwakeShed\Core\Diagnosis\Assessor;
use Symfony\Component\Console\Attribute\AsCommand;

/** Assesses a case file (docs/case-format.md). */
#[AsCommand('shed:assess', 'Assesses a case file: likely faults, next tests, what is closed, where the story does not hold.')]
final class AssessCommand extends JsonFileCommand
{
    public function __construct(private readonly CaseFiles $files, private readonly Assessor $assessor, private readonly AssessmentFormat $format)
    {
        parent::__construct();
    }

    protected function answer(string $json): array
    {
        $case = $this->files->parse($json);

        return $this->format->write($case, $this->assessor->assess($case));
    }
}
