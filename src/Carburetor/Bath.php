<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Evidence\RecordReader;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\Core\Carburetor\Benches;
use AwakeShed\Core\Carburetor\Method;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** The parts of all carburetors on the benches that could go into one bath, and the bath they go into together. */
final readonly class Bath
{
    /** More than lie apart in any shop at once. */
    private const MOST_JOBS = 12;

    public function __construct(private RecordReader $records, private Recorder $recorder, private Benches $benches, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /** @return list<array{job: Job, parts: list<Part>}> only where something is to be bathed and was not yet */
    public function waiting(): array
    {
        $batch = [];
        foreach ($this->records->jobsAtTheBench(self::MOST_JOBS) as $job) {
            $ledger = $this->recorder->open($job)->ledger();
            $parts = array_filter($ledger->parts, fn (Part $part): bool => !$part->isOn
                && !\in_array(Method::Ultrasonic->value, $part->cleaned, true)
                && \in_array(Method::Ultrasonic, $this->benches->carburetors->cleaning->planFor($part, true), true));
            if ($ledger->isOpen && [] !== $parts) {
                $batch[] = ['job' => $job, 'parts' => array_values($parts)];
            }
        }

        return $batch;
    }

    /**
     * Records what goes in together. Each part is a change of its own, so a bath sent again after it was cut off puts in
     * only what was not in; the parts of one job share a timer.
     *
     * @param list<string> $codes of the parts, as on their labels: job-place; what is not waiting is passed over
     *
     * @return int how many went in
     *
     * @throws \AwakeShed\App\Job\ClosedJob
     */
    public function put(array $codes, Member $by, RequestKey $key): int
    {
        $in = 0;
        foreach ($this->waiting() as ['job' => $job, 'parts' => $parts]) {
            $isFirst = true;
            foreach ($parts as $part) {
                $code = $job->getId().'-'.$part->place;
                if (\in_array($code, $codes, true)) {
                    $move = MoveKind::Clean->move($part->place, ['method' => Method::Ultrasonic->value]);
                    $this->recorder->moved($job, $by, $key->forPart($code), static fn (): Move => $move, $isFirst ? fn (NewEntry $entry) => $this->time($job, $by, Method::Ultrasonic, $entry) : null);
                    $isFirst = false;
                    ++$in;
                }
            }
        }

        return $in;
    }

    /** Sets the timer of what takes time by itself; nothing is flushed. */
    public function time(Job $job, Member $by, Method $method, NewEntry $entry): void
    {
        $minutes = $this->benches->carburetors->cleaning->minutes($method);
        if (null !== $minutes) {
            $now = $this->clock->now();
            $this->entities->persist(new Wait($job, WaitKind::Bath, $by, $now, $now->modify("+$minutes minutes"), $entry));
        }
    }
}
