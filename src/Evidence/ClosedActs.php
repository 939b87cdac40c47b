<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Gate\Gatekeeper;

/** Says before an act, not after it, that the job's evidence keeps it closed. */
final readonly class ClosedActs
{
    public function __construct(private RecordReader $records, private Gatekeeper $gatekeeper, private Words $words, private StepWords $steps)
    {
    }

    /**
     * @param string|null $test of the vocabulary; null: no act
     *
     * @return string|null why it is closed and what opens it, in the reader's words; null when it is open
     */
    public function in(Job $job, ?string $test): ?string
    {
        return null === $test ? null : $this->by($this->records->ofJob($job)->case(), $test);
    }

    /** {@see in()}, for whoever has read the record already. */
    public function by(CaseFile $case, ?string $test): ?string
    {
        return null === $test ? null : $this->closed($case, $test)?->detail($this->words, $this->steps);
    }

    /** @throws ClosedTest when it is closed */
    public function demandOpen(Job $job, string $test): void
    {
        $closed = $this->closed($this->records->ofJob($job)->case(), $test);
        if (null !== $closed) {
            throw $closed;
        }
    }

    private function closed(CaseFile $case, string $test): ?ClosedTest
    {
        $blockers = $this->gatekeeper->blockers($case, $test);

        return [] === $blockers ? null : new ClosedTest($test, $blockers);
    }
}
