<?php

declare(strict_types=1);

namespace AwakeShed\App\Gate;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Photo\Photo;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Oil\OilVerdict;

/** All that the walk of a job shows; everything in it is derived. */
final readonly class GatePage
{
    /**
     * @param list<GateState>            $gates
     * @param array<string, list<Photo>> $photos by gate
     */
    public function __construct(public Job $job, public Record $record, public CaseFile $case, public array $gates, public OilVerdict $oil, public array $photos)
    {
    }
}
