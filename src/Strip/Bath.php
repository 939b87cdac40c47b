<?php

declare(strict_types=1);

namespace AwakeShed\App\Strip;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Strip\Carburetors;
use AwakeShed\Core\Strip\Method;
use AwakeShed\Core\Strip\Part;

/** What of the other carburetors on the benches could go into the same bath. */
final readonly class Bath
{
    /** More than lie apart in any shop at once. */
    private const MOST_JOBS = 12;

    public function __construct(private JobRepository $jobs, private Recorder $recorder, private Carburetors $carburetors)
    {
    }

    /** @return list<array{job: Job, parts: list<Part>}> only where something is to be bathed and was not yet */
    public function others(Job $except): array
    {
        $batch = [];
        foreach ($this->jobs->withStrips(self::MOST_JOBS) as $job) {
            $ledger = $job->getId() === $except->getId() ? null : $this->recorder->open($job)->ledger();
            $parts = array_filter($ledger->parts ?? [], fn (Part $part): bool => !$part->isOn
                && !\in_array(Method::Ultrasonic->value, $part->cleaned, true)
                && \in_array(Method::Ultrasonic, $this->carburetors->cleaning->planFor($part, true), true));
            if (true === $ledger?->isOpen && [] !== $parts) {
                $batch[] = ['job' => $job, 'parts' => array_values($parts)];
            }
        }

        return $batch;
    }
}
